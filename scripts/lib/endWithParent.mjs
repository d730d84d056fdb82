// Loaded before the web application: when the process that started it is gone, so is its channel.
process.once('disconnect', () => process.exit(0));
