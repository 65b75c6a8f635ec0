/** Processor time of this process, milliseconds: what else the machine does counts little in it. */
export const took = (work: () => unknown): number => {
  const start = process.cpuUsage();
  work();
  const { user, system } = process.cpuUsage(start);
  return (user + system) / 1000;
};
