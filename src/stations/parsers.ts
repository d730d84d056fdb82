/** Parsers of records that were kept in the browser; Zod is fetched only where one is needed. */
export const robotParser = async () => {
  const { robotRecord } = await import('../formats/records');
  return robotRecord.parse.bind(robotRecord);
};

export const courseParser = async () => {
  const { courseRecord } = await import('../formats/records');
  return courseRecord.parse.bind(courseRecord);
};
