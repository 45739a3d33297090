import http from 'node:http';
import type { RunningBatch } from '@/core/batch';
import { CONSTANTS } from '@/core/reference';
import { standsTruly, type StandsTruly } from '@/core/testing/real-pot';
import { listen, type StandIn } from './listen';

/** Where the demo's probe answers. */
export const PROBE_PORT = 4192;

export const PROBE_MANNERS = ['steady', 'drifting', 'noisy', 'unplugged', 'in the wrong pot'] as const;
type Manner = (typeof PROBE_MANNERS)[number];

/** °C a minute of a probe that drifts, °C of one that is noisy and of one that is not, and of the pot it does not belong into. */
const DRIFTS_PER_MIN = 0.4;
const NOISE = { noisy: 4, steady: 0.1 } as const;
const WRONG_POT_C = 31;

/** A pot that is on, as the stand-in knows it. */
export interface OnHob {
  readonly id: string;
  readonly name: string;
  readonly running: RunningBatch;
}

/** A probe: what it is in, and how it behaves. */
interface Probe {
  celsius: number;
  sinceMs: number;
  manner: Manner;
  /** The batch it follows as a real pot would, and how fast that really boils away. */
  follows: { readonly id: string; readonly times: number } | undefined;
}

/** A number from −1 to 1 that looks like chance and is the same at the same time. */
const chance = (ms: number): number => {
  const x = Math.sin(ms * 78.233) * 43758.5453;
  return 2 * (x - Math.floor(x)) - 1;
};

/** The probe's own page: what a hand would do to a real one. */
const PAGE = `<!doctype html><meta charset="utf-8"><title>The probe in the pot</title>
<style>body{font:18px sans-serif;margin:2rem;max-width:34rem}output{font:700 3rem monospace;display:block}
input,select,button{font:inherit;padding:.3rem .6rem;margin:.3rem 0}label{display:block}dt{float:left;width:9rem}</style>
<h1>The probe in the pot</h1><p>A stand-in. Type what it is in, or let it follow a pot that is on as a real one would:
how fast that one boils away nobody told the kitchen.</p>
<output id="shown" aria-live="off">…</output>
<form id="put"><label>Degrees <input name="c" type="number" step="0.1" value="20"></label><button>Put it in</button></form>
<label>It is <select id="as">${PROBE_MANNERS.map((m) => `<option>${m}</option>`).join('')}</select></label>
<label>It is in <select id="pot"><option value="">what was typed</option></select></label>
<label>which really boils away <input id="times" type="number" min="0.3" max="3" step="0.01" placeholder="as it likes"> times as fast</label>
<dl id="truth"></dl>
<script>
const send=(path)=>fetch(path,{method:'POST'});
put.onsubmit=(e)=>{e.preventDefault();send('/put?c='+encodeURIComponent(put.c.value))};
as.onchange=()=>send('/as?manner='+encodeURIComponent(as.value));
const follow=()=>send('/follow?id='+pot.value+'&times='+encodeURIComponent(times.value));
pot.onchange=follow;times.onchange=follow;
const row=(n,v)=>{const t=document.createElement('dt');t.textContent=n;const d=document.createElement('dd');d.textContent=v;return [t,d]};
setInterval(async()=>{try{const r=await(await fetch('/degrees')).json();shown.textContent=r.celsius.toFixed(1)+' °C'}catch{shown.textContent='unplugged'}},500);
setInterval(async()=>{const {pots,truth}=await(await fetch('/pots')).json();
for(const p of pots)if(![...pot.options].some(o=>o.value===p.id))pot.add(new Option(p.name,p.id));
document.getElementById('truth').replaceChildren(...(truth?[...row('the ruler says',truth.dipCm.toFixed(1)+' cm'),...row('the jug says',truth.l.toFixed(2)+' l'),...row('the scale says',truth.kg.toFixed(2)+' kg'),...row('the meter says',truth.saltPct.toFixed(2)+' % salt'),...row('the glass says',truth.bx.toFixed(1)+' °Bx')]:[]))},1500);
</script>`;

/** What a probe shows at an instant of what it is in. */
function shown({ manner, sinceMs, celsius }: Probe, truth: StandsTruly | undefined, ms: number): number {
  if (manner === 'in the wrong pot') return WRONG_POT_C + chance(ms) * NOISE.steady;
  const drift = manner === 'drifting' ? (DRIFTS_PER_MIN * (ms - sinceMs)) / 60_000 : 0;
  return (truth?.celsius ?? celsius) + drift + chance(ms) * (manner === 'noisy' ? NOISE.noisy : NOISE.steady);
}

/** How fast a pot really boils away where nobody says: somewhere in what pots do, another for each. */
function asItLikes(id: string): number {
  const n = [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 1000, 7);
  return Number((0.7 + (n / 1000) * 0.7).toFixed(2));
}

type Doings = Readonly<Record<string, (asked: URLSearchParams) => Promise<unknown>>>;

/** Answers what can be asked of a probe. */
const answering = (doings: Doings, unplugged: () => boolean): http.Server =>
  http.createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://127.0.0.1');
    const doing = `${request.method ?? 'GET'} ${url.pathname}`;
    if (doing === 'GET /') {
      response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(PAGE);
      return;
    }
    const does = doings[doing];
    if (!does) {
      response.writeHead(404).end();
      return;
    }
    if (doing === 'GET /degrees' && unplugged()) {
      response.destroy();
      return;
    }
    does(url.searchParams)
      .then((answer) => {
        response
          .writeHead(answer === undefined ? 400 : 200, { 'content-type': 'application/json' })
          .end(JSON.stringify(answer ?? {}));
      })
      .catch(() => response.writeHead(503).end());
  });

/**
 * A simulated probe on loopback. `GET /degrees` answers `{"celsius": 94.2}`; `POST /put?c=20` puts it into something; `POST /as?manner=noisy` makes it
 * behave (steady, drifting, noisy, unplugged, in the wrong pot); `POST /follow?id=BATCH&times=0.8` has it follow a pot that is on, whose other
 * measures `GET /pots` then tells. Unplugged it breaks off without an answer, as a pulled cable does.
 * @param pots those that are on, asked for anew whenever it is looked at
 */
export function startProbe(
  port: number,
  pots: () => Promise<readonly OnHob[]>,
  now: () => number = Date.now,
): Promise<StandIn> {
  const probe: Probe = { celsius: 20, sinceMs: now(), manner: 'steady', follows: undefined };
  const truth = async (): Promise<StandsTruly | undefined> => {
    const { follows } = probe;
    const pot = follows && (await pots()).find((p) => p.id === follows.id);
    return follows && pot && standsTruly(pot.running, follows.times, now(), CONSTANTS);
  };
  const doings: Doings = {
    'GET /degrees': async () => ({ celsius: Number(shown(probe, await truth(), now()).toFixed(1)) }),
    'GET /pots': async () => ({
      pots: (await pots()).map(({ id, name }) => ({ id, name })),
      truth: (await truth()) ?? null,
    }),
    'POST /put': async (asked) => {
      const c = Number(asked.get('c'));
      if (!(c >= -30 && c <= 300)) return undefined;
      Object.assign(probe, { celsius: c, sinceMs: now(), follows: undefined });
      return { celsius: c };
    },
    'POST /as': async (asked) => {
      const manner = PROBE_MANNERS.find((m) => m === asked.get('manner'));
      if (!manner) return undefined;
      Object.assign(probe, { manner, sinceMs: now() });
      return { manner };
    },
    'POST /follow': async (asked) => {
      const id = asked.get('id') ?? '';
      const typed = Number(asked.get('times'));
      probe.follows =
        id === '' ? undefined : { id, times: typed >= 0.3 && typed <= 3 ? typed : asItLikes(id) };
      return { follows: id };
    },
  };
  return listen(
    answering(doings, () => probe.manner === 'unplugged'),
    port,
  );
}
