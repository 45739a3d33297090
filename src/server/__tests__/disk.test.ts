import type * as Disk from '../disk';

Object.assign(process.env, {
  DATABASE_URL: 'mysql://u:p@127.0.0.1:3399/halfpot',
  HALFPOT_SECRET: 'a secret of thirty-two letters and more',
});
let bavail = 0;
jest.mock('node:fs/promises', () => ({ statfs: () => Promise.resolve({ bavail, bsize: 1024 * 1024 }) }));

/** What a process that has just been started finds of a disk with so many MB free. */
async function withFree(mb: number): Promise<string | undefined> {
  bavail = mb;
  let disk: typeof Disk | undefined;
  jest.isolateModules(() => {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- loaded fresh, as after a start
    disk = require('../disk') as typeof Disk;
  });
  return disk?.noRoom();
}

test('writes are refused in a sentence with the number and the limit before the disk is full, and taken again when there is room', async () => {
  expect(await withFree(5000)).toBeUndefined();
  expect(await withFree(150)).toBeUndefined();
  expect(await withFree(149.6)).toMatch(/^Only 149 MB are free on the disk, and 150 MB are kept in reserve/);
  expect(await withFree(0)).toMatch(/^Only 0 MB are free/);
});
