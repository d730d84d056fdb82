// Says at its end how much memory the process took at most.
process.on('exit', () => {
  process.stderr.write(`peak ${process.resourceUsage().maxRSS} kB\n`);
});
