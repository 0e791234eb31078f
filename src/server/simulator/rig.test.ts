import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { askSimulator } from './rig';

const lead = { id: '1', name: 'Wilmot Dace', role: 'lead' } as const;
const technician = { ...lead, role: 'technician' } as const;
let rig: Server;

beforeAll(async () => {
  rig = createServer((_, response) => response.end('{"region":"50Hz"}'));
  await new Promise<void>((listening) => rig.listen(0, '127.0.0.1', listening));
  process.env['GRIM_RIG'] = `127.0.0.1:${(rig.address() as AddressInfo).port}`;
});
afterEach(() => {
  delete process.env['GRIM_SIMULATOR'];
});
afterAll(() => {
  delete process.env['GRIM_RIG'];
  rig.close();
});

it('is for everybody where people train', async () => {
  await expect(askSimulator(null, technician)).resolves.toEqual({ region: '50Hz' });
});

it('is the lead’s on the machine of a shop', async () => {
  process.env['GRIM_SIMULATOR'] = 'lead';
  await expect(askSimulator(null, technician)).rejects.toMatchObject({ status: 403 });
  await expect(askSimulator('{}', technician)).rejects.toMatchObject({ status: 403 });
  await expect(askSimulator(null, lead)).resolves.toEqual({ region: '50Hz' });
});

it('is nobody’s where it is off, also when something listens there', async () => {
  process.env['GRIM_SIMULATOR'] = 'off';
  await expect(askSimulator(null, lead)).rejects.toMatchObject({ status: 404 });
});
