/** Pages and routes, behind the door: `pages <socket> [dev]`, with DATABASE_URL. It ends with the door that started it. */
import { createServer } from 'node:http';
import next from 'next';
import { letOthersFirst, niceness } from '../work';

letOthersFirst(niceness.pages);
const [socket = '', mode] = process.argv.slice(2);
const app = next({ dev: mode === 'dev', dir: process.cwd(), hostname: '127.0.0.1' });
const handle = app.getRequestHandler();

process.once('disconnect', () => process.exit(0));
await app.prepare();
const server = createServer((request, response) => void handle(request, response));
// The door keeps its connections; it must not meet one that is just closing.
server.keepAliveTimeout = 0;
if (mode === 'dev') {
  const upgrade = app.getUpgradeHandler();
  server.on('upgrade', (request, duplex, head) => void upgrade(request, duplex, head));
}
server.listen(socket, () => process.send?.('listening'));
