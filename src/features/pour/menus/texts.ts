/** What people read in pour/menus. */

// wire.ts
export const whatMenuCalled = 'What is the menu called?';
export const menuMostDishes = (mostOnAMenu: number): string => `A menu has at most ${mostOnAMenu} dishes.`;

// commands.ts
export const menuAlreadyChooseAnother = (twin: string): string =>
  `“${twin}” is a menu already: choose another name.`;
export const soldOutOfRange = (sold: number, mostSold: number): string =>
  `${sold} sold cannot be: from 0 to ${mostSold}.`;
export const menuArchivedAlready = 'This menu is archived already.';
export const dishArchived = 'This dish has been archived.';
export const dishAlreadyMenu = 'This dish is already on the menu.';
export const menuAlreadyHere = 'This menu is already here.';
export const noSuchMenu = 'There is no such menu.';
