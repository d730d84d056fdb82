import type { QueryInterface } from 'sequelize';

const STATEMENTS = [
  `CREATE TABLE team (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    name VARCHAR(80) NOT NULL
  )`,
  `CREATE TABLE robot (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    team_id CHAR(26) NOT NULL,
    name VARCHAR(80) NOT NULL,
    robot JSON NOT NULL,
    FOREIGN KEY (team_id) REFERENCES team (id)
  )`,
  `CREATE TABLE course (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    team_id CHAR(26) NOT NULL,
    name VARCHAR(80) NOT NULL,
    width_m DOUBLE NOT NULL,
    height_m DOUBLE NOT NULL,
    walls JSON NOT NULL,
    \`lines\` JSON NOT NULL,
    FOREIGN KEY (team_id) REFERENCES team (id)
  )`,
  `CREATE TABLE mission (
    course_id CHAR(26) NOT NULL,
    id VARCHAR(40) NOT NULL,
    position INT NOT NULL,
    name VARCHAR(60) NOT NULL,
    points INT NOT NULL,
    x_m DOUBLE NOT NULL,
    y_m DOUBLE NOT NULL,
    heading_rad DOUBLE NOT NULL,
    window_along_m DOUBLE NOT NULL,
    window_across_m DOUBLE NOT NULL,
    window_heading_rad DOUBLE NOT NULL,
    PRIMARY KEY (course_id, id),
    FOREIGN KEY (course_id) REFERENCES course (id)
  )`,
  `CREATE TABLE route (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    course_id CHAR(26) NOT NULL,
    robot_id CHAR(26) NOT NULL,
    name VARCHAR(80) NOT NULL,
    FOREIGN KEY (course_id) REFERENCES course (id),
    FOREIGN KEY (robot_id) REFERENCES robot (id)
  )`,
  `CREATE TABLE route_version (
    id CHAR(26) PRIMARY KEY,
    route_id CHAR(26) NOT NULL,
    number INT NOT NULL,
    note VARCHAR(500) NOT NULL,
    route JSON NOT NULL,
    saved_at DATETIME(3) NOT NULL,
    UNIQUE (route_id, number),
    FOREIGN KEY (route_id) REFERENCES route (id)
  )`,
  `CREATE TABLE series (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    route_version_id CHAR(26) NOT NULL,
    trying VARCHAR(200) NOT NULL,
    planned_runs INT NOT NULL,
    battery VARCHAR(40) NULL,
    table_label VARCHAR(40) NULL,
    started_at DATETIME(3) NOT NULL,
    FOREIGN KEY (route_version_id) REFERENCES route_version (id)
  )`,
  `CREATE TABLE run (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    series_id CHAR(26) NOT NULL,
    number INT NOT NULL,
    happened_at DATETIME(3) NOT NULL,
    placed_by VARCHAR(40) NULL,
    battery VARCHAR(40) NULL,
    battery_v DOUBLE NULL,
    end_x_m DOUBLE NULL,
    end_y_m DOUBLE NULL,
    end_heading_rad DOUBLE NULL,
    worked BOOLEAN NULL,
    missions JSON NOT NULL,
    cause VARCHAR(40) NULL,
    note VARCHAR(500) NULL,
    set_aside_reason VARCHAR(200) NULL,
    UNIQUE (series_id, number),
    FOREIGN KEY (series_id) REFERENCES series (id),
    CHECK ((end_x_m IS NULL) = (end_y_m IS NULL))
  )`,
];

/** Teams, robots, courses with missions, routes and their immutable versions, series and runs. */
export async function up(queryInterface: QueryInterface): Promise<void> {
  for (const statement of STATEMENTS) {
    await queryInterface.sequelize.query(
      `${statement} ENGINE=InnoDB CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`,
    );
  }
}
