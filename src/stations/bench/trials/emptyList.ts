/** A list of trials that was not begun yet, kept with its first; nothing is said of how it was measured. */
export const emptyList = <P extends string>(procedure: P) => {
  const conditions = { surface: '', battery: '', who: '', readToM: null };
  return (id: string, robotId: string) => ({
    id,
    version: 0,
    robotId,
    procedure,
    conditions,
    trials: [],
    archivedAt: null,
  });
};
