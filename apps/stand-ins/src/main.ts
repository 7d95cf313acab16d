import { createServer } from 'node:http';
import { createStandIns } from './standIns.js';

const port = Number(process.env['STAND_INS_PORT'] ?? 4311);
const server = createServer(createStandIns().callback());
server.listen(port, '127.0.0.1');
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.once(signal, () => {
    server.close();
    server.closeAllConnections();
  });
