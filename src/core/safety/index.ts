/** Sentences about safety, allergens and the law. */
export {
  allergenPage,
  allergenWords,
  cautions,
  coolingWords,
  labelWords,
  LABEL_ALLERGENS,
  WALL_ENDS,
} from './safety';
