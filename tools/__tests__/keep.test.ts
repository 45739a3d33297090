import { keepAlive } from '../keep';

/** Something that ends as often as it is told to, and counts how often it was started again. */
function mortal(ends: number, failsToStart = 0) {
  let lives = 0;
  let stopped = false;
  return {
    lives: () => lives,
    kept: {
      what: 'The kettle',
      log: 'kettle.log',
      ended: () =>
        lives < ends
          ? Promise.resolve()
          : new Promise<void>((done) => {
              stopped = true;
              done();
            }),
      again() {
        lives += 1;
        if (lives <= failsToStart) return Promise.reject(new Error('no water'));
        return Promise.resolve();
      },
      stopping: () => stopped,
    },
  };
}

test('what ends by itself is started again until it has been stopped by us', async () => {
  const kettle = mortal(3);
  await keepAlive(kettle.kept, [0, 0, 0, 0, 0]);
  expect(kettle.lives()).toBe(3);
});

test('what ends again and again is left after the last pause, and so is what does not start', async () => {
  for (const fails of [0, 99]) {
    const kettle = mortal(99, fails);
    await keepAlive(kettle.kept, [0, 0, 0]);
    expect(kettle.lives()).toBe(3);
  }
});
