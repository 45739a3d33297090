import { say, sentenceFor, Stop } from './stop';

const HELP = `Half Pot: what a litre costs before, while and after it cooks.

  ./halfpot start [--port N] [--origin https://…] [--host 0.0.0.0 [--cert FILE --key FILE]]
                                          set everything up and start the kitchen that is kept, beside the demo; with --host
                                          for the tablets of its network, by https
  ./halfpot demo [--port N] [--origin https://…]
                                          set everything up and start the demo kitchen; the address people reach it by, behind a proxy
  ./halfpot dev [--port N]                the same, serving the source as it is edited
  ./halfpot cost FILE [--json] [--ledger] [--layers all]
                                          cost a kitchen file, no application or database needed
  ./halfpot scale FILE RECIPE AMOUNT [--in VESSEL]
                                          the same recipe for another amount, or a plate for "120 covers"
  ./halfpot compare FILE [QUESTION] [--draws N] [--json]
                                          a question that a kitchen file keeps, laid out, with how sure it is
  ./halfpot understand FILE [LINES.txt] [--json]
                                          what each line of a text is read as in a kitchen
  ./halfpot export [FILE] [--demo] [--history]
                                          write the kept kitchen, or the demo's, out as a kitchen file; with all that has happened
  ./halfpot import FILE [--over]          put a kitchen file in place of the kept kitchen, with its history where it has one
  ./halfpot backup [FOLDER]               back the kept kitchen up as of this moment, while people work in it
  ./halfpot restore FILE [--over]         put a backup in place of the kept kitchen
  ./halfpot people [password NAME]        who works in the kept kitchen; a new password for who has forgotten theirs
  ./halfpot service                       write a systemd unit for ./halfpot start
  ./halfpot test [--only static|unit|browser [FILE …]] [--changed] [--since REV] [--full] [--resume]
                                          set everything up and run all checks and tests, or those a change can reach
  ./halfpot screenshots                   make the pictures in docs/screenshots anew
  ./halfpot bench [buy|pot|graph|sheet|kitchen|backup|pages|lighthouse|trials|stove]
                                          measure, as ratios in one run; what each page sends, and how it is judged
  ./halfpot trial [--rounds N] [--payloads N] [--seconds N] [--only stove]
                                          try it under load, deaths and hostile files, and print a table of figures
  ./halfpot batches                       cook the demo's batches anew and write them into its file
  ./halfpot book                          write docs/demo-book.md from the demo kitchen
  ./halfpot schema                        write docs/kitchen-file.schema.json and docs/constants.md
  ./halfpot dumps                         leave a database of the newest step for the tests to upgrade
  ./halfpot notices                       write docs/notices.md from the parts that are shipped
  ./halfpot mutate [FOLDER] [--sample N] [--seed S]
                                          plant mistakes in the core and see which ones the tests notice`;

/** Each command is loaded only when it is asked for, so that `cost` starts without the rest. */
const COMMANDS: Readonly<Record<string, (args: string[]) => Promise<number> | number>> = {
  start: async (args) => (await import('./commands/start')).startKitchen(args),
  demo: async (args) => (await import('./commands/demo')).demo(args),
  dev: async (args) => (await import('./commands/demo')).demo(args, 'dev'),
  cost: async (args) => (await import('./commands/cost')).cost(args),
  scale: async (args) => (await import('./commands/scale')).scale(args),
  compare: async (args) => (await import('./commands/compare')).compare(args),
  understand: async (args) => (await import('./commands/understand')).understand(args),
  export: async (args) => (await import('./commands/export')).exportKitchen(args),
  import: async (args) => (await import('./commands/backup')).importKitchen(args),
  backup: async (args) => (await import('./commands/backup')).backup(args),
  restore: async (args) => (await import('./commands/backup')).restore(args),
  people: async (args) => (await import('./commands/people')).people(args),
  service: async (args) => (await import('./commands/service')).service(args),
  test: async (args) => (await import('./commands/test')).test(args),
  screenshots: async () => (await import('./commands/screenshots')).screenshots(),
  bench: async (args) => (await import('./commands/bench')).bench(args),
  trial: async (args) => (await import('./commands/trial')).trial(args),
  batches: async () => (await import('./commands/batches')).batches(),
  book: async (args) => (await import('./commands/book')).book(args),
  schema: async (args) => (await import('./commands/schema')).schema(args),
  dumps: async () => (await import('./commands/dumps')).dumps(),
  notices: async (args) => (await import('./commands/notices')).notices(args),
  mutate: async (args) => (await import('./commands/mutate')).mutate(args),
};

async function main([name = 'help', ...args]: string[]): Promise<number> {
  if (name === 'help' || name === '--help' || name === '-h') {
    process.stdout.write(`${HELP}\n`);
    return 0;
  }
  const command = COMMANDS[name];
  if (!command) throw new Stop(`There is no command “${name}”.\n\n${HELP}`);
  return command(args);
}

main(process.argv.slice(2)).then(
  (code) => process.exit(code),
  (error: unknown) => {
    say(sentenceFor(error) ?? (error instanceof Error ? (error.stack ?? error.message) : String(error)));
    process.exit(1);
  },
);
