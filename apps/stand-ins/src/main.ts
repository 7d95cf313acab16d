import { createServer } from 'node:http';
import { createMailbox } from './mailbox/mailbox.js';
import { createStandIns } from './standIns.js';

const port = Number(process.env['STAND_INS_PORT'] ?? 4311);
const mailbox = createMailbox();
await mailbox.listen(Number(process.env['STAND_INS_SMTP_PORT'] ?? 4312));
const server = createServer(createStandIns(mailbox).callback());
server.listen(port, '127.0.0.1');
const stop = () => {
  server.close();
  server.closeAllConnections();
  void mailbox.close();
};
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, stop);
// Started by the start command: when that is gone, so is what it started.
if (process.connected) process.once('disconnect', stop);
// The line itself keeps nothing running.
process.channel?.unref();
