import { IngredientView } from '@/features/buy/ingredient/components/ingredient-view';
import { ingredientPage } from '@/features/buy/ingredient/queries';
import { requireWorker } from '@/server/session';
import { titledBy } from '@/server/title';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const generateMetadata = titledBy('ingredients', 'Ingredient');

export default async function OneIngredient({ params }: Props) {
  const page = await ingredientPage(await requireWorker(), (await params).id);
  return <IngredientView key={`${page.id}/${page.version}`} page={page} />;
}
