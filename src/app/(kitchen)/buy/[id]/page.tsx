import { IngredientView } from '@/features/buy/ingredient/components/ingredient-view';
import { ingredientPage } from '@/features/buy/ingredient/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const metadata = { title: 'Ingredient' };

export default async function OneIngredient({ params }: Props) {
  const page = await ingredientPage(await mustWork(), (await params).id);
  return <IngredientView key={`${page.id}/${page.version}`} page={page} />;
}
