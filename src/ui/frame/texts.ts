import { plural } from '@/core/plural';

/** What people read in ui/frame. */

// toast-list.tsx
export const undo = 'Undo';
export const close = 'Close';

// counted-layers.ts
export const and = (part: string, names: string): string => `${part} and ${names}`;

// stations.ts
export const weighUp = 'Weigh up';

// color-scheme.tsx
export const sameDevice = 'same as this device';
export const lightOrDark = 'Light or dark';

// save-status.tsx
export const waitingDevice = 'Waiting on this device';
export const notSaved = (refused: number): string => `not saved: ${refused}`;
export const noConnectionSavedDevice = (waits: number): string =>
  `no connection: ${waits} saved on this device`;
export const somebodyElsesSavedDevice = (others: number): string =>
  `${others} of somebody else’s saved on this device`;
export const noConnection = 'no connection';
export const notSavedYet = 'not saved yet';
export const allSaved = '✓ all saved';
export const sentSaved = (words: string, title: string): string => `Sent and saved: ${words} (${title}).`;
export const typed = ', typed on';
export const keepMine = 'Keep mine';
export const sendAgain = 'Send again';
export const takeTheirs = 'Take theirs';
export const discard = 'Discard it';
export const sentSoonServerAnswers = 'Sent as soon as the server answers.';
export const waitsWaitSomebodyElse = (others: number): string =>
  `${others} ${plural(others, 'waits', 'wait')} for somebody else: sent when they are signed in here again.`;

// top-bar.tsx
export const skipContent = 'Skip to content';
export const halfPot = (kitchen: string): string => `Half Pot at ${kitchen}`;
export const productName = 'Half Pot';
export const stations = 'Stations';
export const settingsWholeKitchen = 'Settings for the whole kitchen';
export const kitchen = 'This kitchen';
export const pinAllowsCooksWork = 'A PIN allows a cook’s work; sign in by password for a manager’s';
export const whoSignedYourPassword = 'Who is signed in, and your password';
export const pin = ' by PIN';
export const signOut = 'Sign out';

// leave-dialog.tsx
export const unsavedChanges = 'Unsaved changes';
export const willLostIfYou = 'It will be lost if you leave this page.';
export const stayHere = 'Stay here';
export const leaveWithoutSaving = 'Leave without saving';

// plain-http.tsx
export const addressPlainHttpWhat =
  'This address is plain http. What you type travels readable through the network, and the browser lets no page from here keep the screen awake, be opened without a connection or use the camera: for that the kitchen is opened by https.';

// when-calculated.tsx
export const calculating = 'Calculating';
export const applicationJustStarted = 'The application has just been started.';
export const potsDoneFiguresCome = (done: number, total: number): string =>
  `${done} of ${total} pots are done; the figures come with the last.`;
export const recipesBeingRead = 'The recipes are being read.';
export const potsCalculated = 'Pots calculated';

// layer-switch.tsx
export const showing = (layerText: string): string => `Showing: ${layerText}`;
export const whatCountsCosts = 'What counts in costs';
export const ingredientsAlways = 'ingredients, always';
export const appliesDeviceDishesPots =
  'This applies on this device, for dishes, pots and the price book. Food cost always means ingredients alone, because targets are set for that.';
