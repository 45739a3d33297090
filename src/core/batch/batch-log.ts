import type { WrittenBatchEvent } from '../kitchen-file';
import type { Heat } from '../pot';
import type { PotDoing } from '../verbs';
import { saysHowMuch, type AmountRead } from './readings';

/** What was told of a batch, as it was told, and lines of rescues as the pot can do them, by the id of their event. */
interface Told {
  readonly events: readonly WrittenBatchEvent[];
  readonly rescues: Readonly<Record<string, readonly PotDoing[]>>;
}

/** A salt meter’s word. */
interface Salted {
  readonly id: string;
  readonly ms: number;
  readonly pct: number;
}

/** A refractometer’s word. */
interface Dissolved {
  readonly id: string;
  readonly ms: number;
  readonly bx: number;
}

/** A chilled spoonful’s word. */
interface Gelled {
  readonly id: string;
  readonly ms: number;
  readonly gels: Extract<WrittenBatchEvent, { is: 'sets' }>['how'];
}

/** A flame that is turned down, or as its line has it again. */
interface Turned {
  readonly id: string;
  readonly ms: number;
  readonly heat: Heat | undefined;
}

/** Lines that were done at once while another was at hand. */
interface Rescue {
  readonly id: string;
  readonly ms: number;
  readonly steps: readonly PotDoing[];
}

type Answer = Extract<WrittenBatchEvent, { is: 'answered' }>['as'];
/** What says how much there is. */
export type AmountReading = AmountRead & { readonly ms: number };
/** What changes a pot at once, whatever it stands on. */
export type PotChange = Rescue | Salted | Dissolved | Gelled | Turned;
export const isPotChange = (next: AmountReading | PotChange): next is PotChange =>
  'steps' in next || 'pct' in next || 'bx' in next || 'gels' in next || 'heat' in next;

/** Turned down for the night it is turned up again when somebody is back, or has told anything since. */
function turning(
  { id, at, until, heat }: Extract<WrittenBatchEvent, { is: 'night' }>,
  events: Told['events'],
): Turned[] {
  const ms = Date.parse(at);
  const since = events.map((e) => Date.parse(e.at)).filter((x) => x > ms);
  return [
    { id, ms, heat },
    { id: `${id} up`, ms: Math.min(Date.parse(until), ...since), heat: undefined },
  ];
}

/** What has been told of a batch: when lines were done, what was read, and what was answered. */
export class BatchLog {
  readonly done = new Map<string, number>();
  readonly answers = new Map<string, Answer>();
  private readonly reads: AmountReading[] = [];
  private readonly rescues: Rescue[] = [];
  private readonly salted: Salted[] = [];
  private readonly dissolved: Dissolved[] = [];
  private readonly gelled: Gelled[] = [];
  private readonly turned: Turned[] = [];

  constructor({ events, rescues }: Told) {
    // Told twice is told once.
    for (const e of new Map(events.map((x) => [x.id, x])).values()) {
      const ms = Date.parse(e.at);
      // Ticked on two tablets it was done when the first said so.
      if (e.is === 'done') this.done.set(e.step, Math.min(ms, this.done.get(e.step) ?? Infinity));
      else if (e.is === 'answered') this.answers.set(e.reading, e.as);
      else if (e.is === 'left') {
        // As a reading by the jug that was answered: what is missing took its share of everything.
        this.answers.set(e.id, 'lost');
        this.reads.push({ ...e, is: 'litres', ms });
      } else if (e.is === 'rescue') this.rescues.push({ id: e.id, ms, steps: rescues[e.id] ?? [] });
      else if (e.is === 'salt') this.salted.push({ id: e.id, ms, pct: e.pct });
      else if (e.is === 'brix') this.dissolved.push({ id: e.id, ms, bx: e.bx });
      else if (e.is === 'night' && e.heat) this.turned.push(...turning(e, events));
      else if (e.is === 'sets') this.gelled.push({ id: e.id, ms, gels: e.how });
      else if (saysHowMuch(e)) this.reads.push({ ...e, ms });
    }
  }

  /** What was read and done between two moments, in its order; what was misread counts for nothing. */
  between(from: number, to: number): readonly (AmountReading | PotChange)[] {
    return [...this.reads, ...this.rescues, ...this.salted, ...this.dissolved, ...this.gelled, ...this.turned]
      .filter((r) => r.ms >= from && r.ms < to && this.answers.get(r.id) !== 'misread')
      .sort((a, b) => a.ms - b.ms || (a.id < b.id ? -1 : 1));
  }
}
