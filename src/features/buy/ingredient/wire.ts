import { z } from 'zod';
import { sender, wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';

/** Which price an ingredient is costed at, as typed; `kitchen` goes back to the kitchen's own basis. */
export const BASIS = wire()({
  kind: 'ingredient.basis',
  version: 1,
  body: z.object({
    id: ID,
    by: z.enum(['kitchen', 'latest', 'average', 'stock', 'fixed']),
    days: TYPED,
    price: TYPED,
    per: TYPED,
  }),
});
/** Which article it is costed from (null: whichever was priced last), or how opened packs are charged. */
export const SETTING = wire()({
  kind: 'ingredient.buying',
  version: 1,
  body: z.object({
    id: ID,
    boughtAs: ID.nullable().optional(),
    partPack: z.enum(['part', 'whole']).optional(),
  }),
});
/** How much of it is there. */
export const COUNT = wire()({
  kind: 'ingredient.count',
  version: 1,
  body: z.object({ id: ID, typed: TYPED }),
});
/** What a pack of it really held. */
export const WEIGHING = wire()({
  kind: 'article.weighed',
  version: 1,
  body: z.object({ id: ID, article: ID, typed: TYPED }),
});

/** An article as its supplier calls and packs it; `price` is asked for where the pack is another. */
export const ArticleTyped = z.object({
  name: z.string().max(5000),
  code: z.string().max(5000),
  pack: TYPED,
  price: TYPED,
});
export type ArticleTyped = z.infer<typeof ArticleTyped>;
export const ARTICLE = wire<{ readonly id: string }, ArticleTyped>()({
  kind: 'article.keep',
  version: 1,
  body: ArticleTyped.extend({ id: ID }),
});
/** Puts an article away, or brings it back. */
export const ARTICLE_AWAY = wire()({
  kind: 'article.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});

export const saveArticle = sender(ARTICLE);
export const archiveArticle = sender(ARTICLE_AWAY);
export const saveBasis = sender(BASIS);
export const saveSetting = sender(SETTING);
export const saveCount = sender(COUNT);
export const saveWeighing = sender(WEIGHING);
