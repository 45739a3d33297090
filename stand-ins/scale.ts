import http from 'node:http';
import { listen, type StandIn } from './listen';

/** Where the demo's bench scale answers. */
export const SCALE_PORT = 4191;
/** What it can bear, g. */
const MOST_G = 15_000;
/** It swings in within about a second. */
const SETTLES_S = 0.35;
const SWINGS_PER_S = 9;

export const SCALE_MANNERS = ['steady', 'drifting', 'noisy', 'unplugged'] as const;
type Manner = (typeof SCALE_MANNERS)[number];

/** A scale on a bench: what lies on it, since when, what was there before, and how it behaves. */
interface Bench {
  loadG: number;
  beforeG: number;
  sinceMs: number;
  tareG: number;
  manner: Manner;
}

/** A number from −1 to 1 that looks like chance and is the same at the same time. */
const chance = (ms: number): number => {
  const x = Math.sin(ms * 12.9898) * 43758.5453;
  return 2 * (x - Math.floor(x)) - 1;
};

/** What it shows at an instant: tare taken off, in whole grams; undefined above what it can bear. */
function shown(b: Bench, nowMs: number): number | undefined {
  const s = (nowMs - b.sinceMs) / 1000;
  const swing = (b.beforeG - b.loadG) * Math.exp(-s / SETTLES_S) * Math.cos(SWINGS_PER_S * s);
  const drift = b.manner === 'drifting' ? (90 / 60) * s : 0;
  const noise = chance(nowMs) * (b.manner === 'noisy' ? 40 : 0.4);
  const gross = b.loadG + swing + drift + noise;
  return b.loadG > MOST_G ? undefined : Math.round(gross - b.tareG);
}

/** The scale's own page: what a hand would do to a real one. */
const PAGE = `<!doctype html><meta charset="utf-8"><title>The scale on the bench</title>
<style>body{font:18px sans-serif;margin:2rem;max-width:30rem}output{font:700 3rem monospace;display:block}
input,select,button{font:inherit;padding:.3rem .6rem;margin:.3rem 0}label{display:block}</style>
<h1>The scale on the bench</h1><p>A stand-in: put something on it here, and take the weight on the bench in Half Pot.</p>
<output id="shown" aria-live="off">…</output>
<form id="put"><label>Grams on it <input name="g" type="number" min="0" step="1" value="0"></label><button>Put it on</button></form>
<button id="tare">Tare</button>
<label>It is <select id="as">${SCALE_MANNERS.map((m) => `<option>${m}</option>`).join('')}</select></label>
<script>
const send=(path)=>fetch(path,{method:'POST'});
put.onsubmit=(e)=>{e.preventDefault();send('/put?g='+encodeURIComponent(put.g.value))};
tare.onclick=()=>send('/tare');as.onchange=()=>send('/as?manner='+as.value);
setInterval(async()=>{try{const r=await(await fetch('/weight')).json();shown.textContent=r.overload?'over 15 kg':r.grams+' g'}catch{shown.textContent='unplugged'}},250);
</script>`;

/**
 * A simulated bench scale on loopback. `GET /weight` answers `{"grams": 6203, "overload": false}`; `POST /tare` makes what lies on it
 * nothing; `POST /put?g=6200` puts a load on; `POST /as?manner=noisy` makes it behave (steady, drifting, noisy, unplugged). Unplugged it breaks
 * off without an answer, as a pulled cable does.
 */
export function startScale(port: number): Promise<StandIn> {
  const bench: Bench = { loadG: 0, beforeG: 0, sinceMs: Date.now(), tareG: 0, manner: 'steady' };
  const put = (g: number): void => {
    bench.beforeG = shown({ ...bench, tareG: 0 }, Date.now()) ?? bench.loadG;
    bench.loadG = g;
    bench.sinceMs = Date.now();
  };
  const server = http.createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://127.0.0.1');
    const json = (body: unknown, status = 200): void => {
      response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    };
    const doing = `${request.method ?? 'GET'} ${url.pathname}`;
    if (doing === 'POST /as') {
      const manner = SCALE_MANNERS.find((m) => m === url.searchParams.get('manner'));
      if (manner) bench.manner = manner;
      bench.sinceMs = Date.now();
      bench.beforeG = bench.loadG;
      json({ manner: bench.manner }, manner ? 200 : 400);
    } else if (doing === 'POST /put') {
      const g = Number(url.searchParams.get('g'));
      if (g >= 0 && g < 1e6) put(g);
      json({ load: bench.loadG }, g >= 0 && g < 1e6 ? 200 : 400);
    } else if (doing === 'GET /') {
      response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(PAGE);
    } else if (bench.manner === 'unplugged') {
      response.destroy();
    } else if (doing === 'GET /weight') {
      const grams = shown(bench, Date.now());
      json(grams === undefined ? { overload: true } : { grams, overload: false });
    } else if (doing === 'POST /tare') {
      bench.tareG = bench.loadG;
      json({ tare: bench.tareG });
    } else response.writeHead(404).end();
  });
  return listen(server, port);
}
