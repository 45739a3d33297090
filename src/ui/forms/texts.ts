/** What people read in ui/forms. */

// combo.tsx
export const whatFits = 'What fits';
export const looking = 'Looking …';
export const nothingHereCalled = 'Nothing here is called that.';
export const nothingHereCalledInputValue = (inputValue: string): string =>
  `Nothing here is called “${inputValue}”.`;

// edit-conflict.tsx
export const theirs = (text: string): string => `theirs: ${text}`;
export const keepMine = 'Keep mine';
export const takeTheirs = 'Take theirs';

// day-calendar.tsx
export const calendar = 'Calendar';

// day-field.tsx
export const calendarLabel = (label: string): string => `${label}: calendar`;
export const writeDaySuch = (sample: string): string => `Write a day such as ${sample}.`;
export const lastDay = (day: string): string => `${day} is the last day there is.`;
export const firstDay = (day: string): string => `${day} is the first day there is.`;

// typed-field.tsx
export const save = 'Save';
export const putBack = (value: string): string => `Put back ${value}`;

// save-button.tsx
export const yesSave = 'Yes, save it';
export const saved = '✓ saved';
