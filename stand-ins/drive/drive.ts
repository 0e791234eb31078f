import { busOf } from '@/core/equipment/drive-words';
import type { Server } from 'node:net';
import { busServer } from './bus';
import { memoryOf, type Holder } from './memory';
import { pass, rigServer } from './rig';
import { boxed } from './types';

const tick_ms = 20;
/** After a pause of the machine the simulation does not run to catch up. */
const longestTick_s = 0.2;

export interface DriveStandIn {
  busPort: number;
  rigPort: number;
  stop: () => Promise<void>;
}

const listen = (server: Server, port: number): Promise<number> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      if (address === null || typeof address === 'string') reject(new Error('the server has no port'));
      else resolve(address.port);
    });
  });

/** Starts the simulated drive on loopback: its bus, its rig, and its time. */
export async function simulateDrive({
  busPort = 0,
  rigPort = 0,
  type = 'whimbrel-w4',
  model = 'W4-15',
  random = Math.random,
} = {}): Promise<DriveStandIn> {
  const holder: Holder = await boxed({ type, model, fitted: [] });
  const bus = busServer({
    memory: memoryOf(holder),
    unit: () => busOf(holder.unit.settings.control).unit,
    manners: () => holder.plant.bus,
    setManners: (bus) => (holder.plant = { ...holder.plant, bus }),
    awake: () => holder.unit.state !== 'off',
    random,
  });
  const sockets = new Set<{ destroy: () => void }>();
  bus.on('connection', (socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
  });
  const rig = rigServer(holder);
  rig.keepAliveTimeout = 65_000;
  const ports = [await listen(bus, busPort), await listen(rig, rigPort)] as const;
  let then = performance.now();
  const tick = setInterval(() => {
    const now = performance.now();
    pass(holder, Math.min(longestTick_s, (now - then) / 1000));
    then = now;
  }, tick_ms);
  return {
    busPort: ports[0],
    rigPort: ports[1],
    stop: async () => {
      clearInterval(tick);
      sockets.forEach((s) => s.destroy());
      rig.closeAllConnections();
      await Promise.all([bus, rig].map((s) => new Promise((resolve) => s.close(resolve))));
    },
  };
}
