import type { QueryInterface } from 'sequelize';

const STATEMENTS = [
  `CREATE TABLE stand_in (
    id CHAR(26) PRIMARY KEY,
    state JSON NOT NULL,
    FOREIGN KEY (id) REFERENCES team (id)
  )`,
  `CREATE TABLE robot_change (
    id CHAR(26) PRIMARY KEY,
    robot_id CHAR(26) NOT NULL,
    part VARCHAR(40) NOT NULL,
    note VARCHAR(500) NOT NULL,
    who VARCHAR(40) NULL,
    changed_at DATETIME(3) NOT NULL,
    FOREIGN KEY (robot_id) REFERENCES robot (id)
  )`,
  `CREATE TABLE bench_log (
    id CHAR(26) PRIMARY KEY,
    robot_id CHAR(26) NOT NULL,
    name VARCHAR(80) NOT NULL,
    source VARCHAR(20) NOT NULL,
    \`columns\` JSON NOT NULL,
    pieces INT NOT NULL,
    samples INT NOT NULL,
    taken_at DATETIME(3) NOT NULL,
    FOREIGN KEY (robot_id) REFERENCES robot (id)
  )`,
  `CREATE TABLE bench_log_piece (
    log_id CHAR(26) NOT NULL,
    number INT NOT NULL,
    data JSON NOT NULL,
    PRIMARY KEY (log_id, number),
    FOREIGN KEY (log_id) REFERENCES bench_log (id)
  )`,
  `CREATE TABLE still_check (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    robot_id CHAR(26) NOT NULL,
    log_id CHAR(26) NOT NULL,
    taken_at DATETIME(3) NOT NULL,
    power_up VARCHAR(40) NOT NULL,
    school VARCHAR(40) NULL,
    before_id CHAR(26) NULL,
    run_duration_s DOUBLE NOT NULL,
    tolerance_rad DOUBLE NOT NULL,
    result JSON NOT NULL,
    set_aside_reason VARCHAR(200) NULL,
    FOREIGN KEY (robot_id) REFERENCES robot (id),
    FOREIGN KEY (log_id) REFERENCES bench_log (id),
    FOREIGN KEY (before_id) REFERENCES still_check (id) ON DELETE SET NULL
  )`,
  `CREATE TABLE bench_trials (
    id CHAR(26) PRIMARY KEY,
    version INT UNSIGNED NOT NULL,
    robot_id CHAR(26) NOT NULL,
    \`procedure\` VARCHAR(20) NOT NULL,
    conditions JSON NOT NULL,
    trials JSON NOT NULL,
    started_at DATETIME(3) NOT NULL,
    FOREIGN KEY (robot_id) REFERENCES robot (id)
  )`,
  `CREATE TABLE calibration (
    id CHAR(26) PRIMARY KEY,
    robot_id CHAR(26) NOT NULL,
    kind VARCHAR(20) NOT NULL,
    value JSON NOT NULL,
    evidence JSON NOT NULL,
    surface VARCHAR(40) NULL,
    battery VARCHAR(40) NULL,
    made_at DATETIME(3) NOT NULL,
    FOREIGN KEY (robot_id) REFERENCES robot (id)
  )`,
  `CREATE TABLE calibration_change (
    id CHAR(26) PRIMARY KEY,
    robot_id CHAR(26) NOT NULL,
    kind VARCHAR(20) NOT NULL,
    calibration_id CHAR(26) NULL,
    reason VARCHAR(500) NOT NULL,
    who VARCHAR(40) NULL,
    changed_at DATETIME(3) NOT NULL,
    FOREIGN KEY (robot_id) REFERENCES robot (id),
    FOREIGN KEY (calibration_id) REFERENCES calibration (id)
  )`,
];

/** The stand-in robot, dated changes of robots, recorded logs, still checks, trials and calibrations. */
export async function up(queryInterface: QueryInterface): Promise<void> {
  for (const statement of STATEMENTS) {
    await queryInterface.sequelize.query(
      `${statement} ENGINE=InnoDB CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`,
    );
  }
}
