import type { Stuff } from './ingredient';

/** What a cook calls the pieces in a pot without naming each: “take out the bones”, “return the meat”. */
export const PIECE_KINDS = ['bones', 'shells', 'meat', 'vegetables'] as const;
export type PieceKind = (typeof PIECE_KINDS)[number];

const SHELL = /\b(shell|shells|carapace|carapaces|heads and shells)\b/i;
const BONE =
  /\b(bones?|carcass|carcasses|frames?|trotters?|foot|feet|necks?|wings?|skins?|ribs?|knuckles?)\b/i;

/**
 * Which of them a piece is, by what it gives and what it is called: what gives juice is meat (fish and shellfish with it), what
 * gives gelatin and no juice is bone, and what is none of these stands with the vegetables.
 */
export function pieceKind(stuff: Stuff): PieceKind {
  if (stuff.juice > 0) return 'meat';
  if (SHELL.test(stuff.name)) return 'shells';
  return stuff.gelatinPool > 0 || BONE.test(stuff.name) ? 'bones' : 'vegetables';
}
