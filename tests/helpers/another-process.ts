/**
 * A module as another process of the application would have it: with nothing in memory of what this one holds.
 *
 * @param file the module's path in the project, one of those that the bundle of unit tests hands out (tools/test/unit-bundle.ts)
 */
export function anotherProcess<Module>(file: string): Module {
  let made: Module | undefined;
  jest.isolateModules(() => {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- the bundle, loaded fresh
    const { modules } = require(process.env.HALFPOT_UNIT_BUNDLE ?? '') as {
      modules: Readonly<Record<string, () => unknown>>;
    };
    made = modules[file]?.() as Module | undefined;
  });
  if (made === undefined) throw new Error(`${file} is not handed out by the bundle of unit tests`);
  return made;
}
