import { withRetry } from '../with-retry';

const quickly = { times: 3, patience: 20, pause: 1 };

test('what fails or is never answered is asked again, and the first answer is taken', async () => {
  const ways = [() => Promise.reject(new Error('busy')), () => new Promise<string>(() => undefined)];
  const ask = jest.fn(() => ways.shift()?.() ?? Promise.resolve('salt'));
  await expect(withRetry(ask, quickly)).resolves.toBe('salt');
  expect(ask).toHaveBeenCalledTimes(3);
  await expect(withRetry(ask, quickly)).resolves.toBe('salt');
  expect(ask).toHaveBeenCalledTimes(4);
});

test('where nobody ever answers it says so after so many times', async () => {
  const ask = jest.fn(() => Promise.reject(new Error('gone')));
  await expect(withRetry(ask, quickly)).resolves.toBeUndefined();
  expect(ask).toHaveBeenCalledTimes(3);
});
