// Loaded before the web application: when the process that started it is gone, so is its channel.
process.once('disconnect', () => process.exit(0));
// Listening to the channel would keep alive an application that could not take its port.
process.channel?.unref();
