/** What people read in pour/menus. */

// menu-forms.tsx
export const whatMenuCalled = 'What is the menu called?';
export const newMenu = 'New menu';
export const whatMenuCalledHeading = 'What the menu is called';
export const rename = 'Rename';

// menu-tools.tsx
export const archived = (name: string): string => `${name} is archived.`;
export const history = 'History';
export const archive = 'Archive';

// menus-view.tsx
export const menus = 'Menus';
export const dishesSoldTogetherHow = 'Dishes that are sold together, and how many of each.';
export const noLongerHere = 'This is no longer here.';
export const noMenusYet = 'There are no menus yet.';
export const createFirstMenu = 'Create the first menu';
export const managerCreatesFirstOne = 'A manager creates the first one.';
export const nothingMenuYetAdd = 'Nothing on this menu yet. Add a dish.';
export const dish = 'Dish';
export const sales = '% of sales';
export const sold = 'sold';
export const all = 'of all';
export const foodCost = 'food cost';
export const grossProfitHead = 'gross profit';
export const shareGrossProfit = 'share of gross profit';
export const effectMenuFoodCost = 'effect on menu food cost, points';
export const remove = 'Remove';
export const removeFromMenu = (name: string): string => `Remove ${name} from the menu`;
export const soldName = (name: string): string => `${name}, sold`;
export const notSaid = 'not said';
export const addDish = 'Add a dish';
export const anotherDish = 'another dish';
export const menusFoodCost = 'The menu’s food cost';
export const incomplete = 'incomplete';
export const foodCostMenuIngredients = 'food cost of the menu, ingredients, net of tax';
export const averageDishBrings = 'The average dish brings';
export const cost = 'Cost';
export const andIn = (layersText: string): string => `And in ${layersText}`;
export const grossProfit = 'Gross profit';
export const salesEntered = 'Sales entered as';
export const portions = 'portions';
export const saved = '✓ saved';
