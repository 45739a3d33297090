/** What people read in weigh. */

// saved-questions.ts
export const anotherWay = 'another way';
export const noWayMeetsRequest = 'No way that meets the request has a known cost.';

// wire.ts
export const whatQuestionCalled = 'What is the question called?';

// commands.ts
export const questionAlreadyChooseAnother = (twin: string): string =>
  `“${twin}” is a question already: choose another name.`;
export const questionDeletedAlready = 'This question is deleted already.';
export const questionAlreadyHere = 'This question is already here.';
export const noSuchQuestion = 'There is no such question.';

// actions.ts
export const madeHere = 'made here';

// draws-file.ts
export const perLitre = 'per litre';
export const portion = 'a portion';

// queries.ts
export const wholePot = 'the whole pot';

// weigh-nav.tsx
export const rulesThumb = 'Rules of thumb';
export const weighingUp = 'Weighing up';
export const bought = 'bought';
