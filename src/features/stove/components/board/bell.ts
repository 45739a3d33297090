/** Hz of the two strokes of a bell: high enough for a kitchen with its fans on. */
const STROKES = [1320, 1760] as const;
const STROKE_S = 0.22;
/** ms between two rings while nobody has heard it. */
export const RINGS_MS = 15_000;

let audio: AudioContext | undefined;

/**
 * Rings once.
 * @returns whether it could be heard: a browser lets nothing sound on a page that nobody has touched
 */
export function ring(): boolean {
  // A browser complains of a page that shakes before anybody has touched it.
  if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([200, 100, 200]);
  if (typeof AudioContext === 'undefined') return false;
  audio ??= new AudioContext();
  void audio.resume().catch(() => undefined);
  for (const [i, hz] of [...STROKES, ...STROKES].entries()) {
    const [tone, loud] = [audio.createOscillator(), audio.createGain()];
    const at = audio.currentTime + i * STROKE_S;
    tone.type = 'triangle';
    tone.frequency.value = hz;
    loud.gain.setValueAtTime(0.6, at);
    loud.gain.exponentialRampToValueAtTime(0.01, at + STROKE_S);
    tone.connect(loud).connect(audio.destination);
    tone.start(at);
    tone.stop(at + STROKE_S);
  }
  return audio.state === 'running';
}

const SILENT = 'half-pot-silent';

/** Whether this device is to be silent. */
export function isSilent(): boolean {
  try {
    return localStorage.getItem(SILENT) !== null;
  } catch {
    return false;
  }
}

export function beSilent(silent: boolean): void {
  try {
    if (silent) localStorage.setItem(SILENT, '1');
    else localStorage.removeItem(SILENT);
  } catch {
    // It rings again after a reload.
  }
}
