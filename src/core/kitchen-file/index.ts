/** The open format: its schema, reading with every mistake told, and moving it in time. */
export {
  FORMAT,
  FORMAT_VERSION,
  KitchenFile,
  WrittenStep,
  type Of,
  type WrittenIngredient,
  type WrittenPlate,
  type WrittenRecipe,
  type WrittenVessel,
} from './schema';
export { readKitchen, readKitchenText, type FileRead } from './read';
export { inOrder, loopSentence, ofStep, usesOf } from './loops';
export { shiftDay, shiftTo } from './shift';
export { hobOf, measuringDensity, stuffOf, vesselOf } from './stuff';
