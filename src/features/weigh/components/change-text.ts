import type { QuestionChange } from '../saved-questions';

/** What has changed about an answer, and which prices have moved since. */
export function changeText(
  { was, is, on, sure, by }: QuestionChange,
  money: (v: number) => string,
  day: (iso: string) => string,
): string {
  const percent = (share: number): string => `${Math.round(share * 100)} of 100`;
  const change = sure
    ? `On ${day(on)} ${is} won in ${percent(sure.was)} simulations; now in ${percent(sure.is)}.`
    : `On ${day(on)} the answer was ${was}; now it is ${is}.`;
  const most = by.slice(0, 3).map((b) => `${b.name} ${money(b.was)} → ${money(b.is)} per usable kilo`);
  return most.length === 0
    ? change
    : `${change} What changed: ${most.join('; ')}${by.length > 3 ? ' and more' : ''}.`;
}
