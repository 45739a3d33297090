/** What people read in people. */

// queries.ts
export const nameNobody = 'a name nobody has';

// service.ts
export const notPinName = 'That is not the PIN of this name.';
export const notPasswordName = 'That is not the password of this name.';
export const pinWorksOnlyDevice =
  'A PIN works only on a device that a manager has allowed: type your password here.';
export const tooManyWrongTries = (seconds: number): string =>
  `Too many wrong tries: try again in ${seconds} s.`;
export const demosTablet = 'The demo’s tablet';

// wire.ts
export const typeYourCurrentPassword = 'Type your current password.';
export const passwordMost200Characters = 'A password has at most 200 characters.';
export const pinFourSixDigits = 'A PIN is four to six digits.';
export const whatTheirName = 'What is their name?';
export const nameMost120Characters = (count: number): string =>
  `A name has at most 120 characters; this has ${count}.`;

// commands.ts
export const endedAlready = (what: string): string => `${what} has been ended already.`;
export const notYourCurrentPassword = 'That is not your current password.';
export const newPasswordSameCurrent = 'The new password is the same as the current one.';
export const onlyManagerMayEnd = 'Only a manager may end where somebody else is signed in.';
export const device = 'That device';
export const lastManagerKitchenNobody =
  'This is the last manager: a kitchen that nobody manages could never be changed again. Make somebody else a manager first.';
export const personLeft = 'This person has left.';
export const workedHereBeforeLeft = (name: string): string =>
  `“${name}” worked here before and has left: add them again from the list, or choose another name.`;
export const worksHereAlreadyTwo = (name: string): string =>
  `“${name}” works here already: two people with one name could not be told apart when signing in.`;
export const passwordNeededBeginThey = 'A password is needed to begin with: they can change it themselves.';
export const personLeftAlready = 'This person has left already.';
export const personWorksHereAlready = 'This person works here already.';

// actions.ts
export const chooseYourNameFirst = 'Choose your name first.';
export const typeYourPasswordOr = 'Type your password or PIN.';
export const chooseYourNameType = 'Choose your name and type your password or PIN.';
export const giveDeviceNameSuch = 'Give the device a name, such as “Tablet at the stove”.';
export const nameMost60Characters = 'A name has at most 60 characters.';
export const onlyManagerSignedPassword = 'Only a manager, signed in by password, can allow a device.';
export const deviceAlreadyAllowed = (name: string): string => `This device is already allowed, as “${name}”.`;
