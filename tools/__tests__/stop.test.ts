import { checkedUrl } from '../instance';
import { whereFrom } from '../commands/demo';
import { sentenceFor, Stop } from '../stop';

describe('trouble of the machine is told in a sentence that says what to do', () => {
  test.each([
    [new Stop('Do this.'), 'Do this.'],
    [Object.assign(new Error('x'), { code: 'ENOSPC' }), 'The disk is full.'],
    [Object.assign(new Error('x'), { code: 'EACCES' }), 'This user may not do that here'],
    [Object.assign(new Error('x'), { code: 'ECONNREFUSED' }), 'The database does not answer'],
    [Object.assign(new Error('x'), { errno: 1045 }), 'refuses the user or the password'],
    [Object.assign(new Error('x'), { errno: 1049 }), 'does not exist'],
    [Object.assign(new Error('x'), { errno: 1044 }), 'lacks rights'],
    [Object.assign(new Error('no such host'), { code: 'ENOTFOUND' }), 'cannot be reached (no such host)'],
    [
      Object.assign(new Error("Unknown option '--prot'"), { code: 'ERR_PARSE_ARGS_UNKNOWN_OPTION' }),
      "Unknown option '--prot'. ./halfpot alone lists",
    ],
  ])('%s', (error, words) => expect(sentenceFor(error)).toContain(words));

  test('our own mistakes are not dressed up', () => {
    expect(sentenceFor(new TypeError('x is not a function'))).toBeUndefined();
    expect(sentenceFor(undefined)).toBeUndefined();
  });
});

describe('a database address', () => {
  test('of either name is taken', () => {
    expect(checkedUrl('mysql://a:b@127.0.0.1:3306/halfpot')).toBe('mysql://a:b@127.0.0.1:3306/halfpot');
    expect(checkedUrl('mariadb://a:b@127.0.0.1:3306/halfpot')).toBe('mysql://a:b@127.0.0.1:3306/halfpot');
  });
  test.each(['nonsense', 'http://a/b', 'mysql://127.0.0.1:3306', 'mysql://127.0.0.1:3306/'])(
    '%s is refused',
    (url) => expect(() => checkedUrl(url)).toThrow(Stop),
  );
});

describe('a port', () => {
  test('has a usual value and may be chosen', () => {
    expect(whereFrom([])).toEqual({ port: 4180, origin: undefined });
    expect(whereFrom(['--port', '4300'])).toMatchObject({ port: 4300 });
  });
  test.each([['abc'], ['0'], ['70000'], ['12.5']])('%s is refused', (port) =>
    expect(() => whereFrom(['--port', port])).toThrow(/is not a port: a whole number from 1 to 65535/),
  );
});
