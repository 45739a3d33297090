import { plural } from '@/core/plural';

/** What people read in people. */

// people-table.tsx
export const everythingRecipesPricesPeople = 'everything: recipes, prices, people, the whole kitchen';
export const testsWasteSavedCostings =
  'tests, waste, saved costings; recipes and prices where the house lets cooks change them';
export const looksEverythingChangesNothing = 'looks at everything and changes nothing';
export const whoWorksHere = 'Who works here';
export const addPerson = 'Add person';
export const name = 'Name';
export const may = 'can';
export const change = 'Change';
export const left = (name: string): string => `${name} has left.`;
export const pin = ', with a PIN';
export const changeName = (name: string): string => `Change ${name}`;
export const leaves = (name: string): string => `${name} leaves`;
export const remove = 'Remove';
export const role = 'Role';
export const newPasswordOrLeave = 'A new password (or leave the old one)';
export const firstPassword = 'A first password';
export const least8Characters = 'at least 8 characters';
export const pinSharedTablet = 'A PIN for the shared tablet';
export const asItIs = 'as it is';

// own-password.tsx
export const yourPassword = (name: string): string => `Your password, ${name}`;
export const currentPassword = 'Current password';
export const newPassword = 'New password';
export const changeHeading = 'Change password';
export const changed = '✓ changed';
export const endedWhereYouSigned = (ended: number): string =>
  `; ended ${plural(ended, 'one other place', `${ended} other places`)} where you were signed in`;

// people-view.tsx
export const people = 'People';
export const whoWorksHereWhat = 'Who works here and what they can do, who is signed in, and failed sign-ins.';
export const whereYouSignedYour = 'Where you are signed in, and your password.';
export const youSignedPinWhich =
  'You signed in by PIN, which allows a cook’s work. For a manager’s work, sign out and sign in with your password.';
export const yourPasswordLightOr = 'Your password, light or dark, and devices';
export const signed = 'Signed in';
export const who = 'Who';
export const where = 'where';
export const since = 'since';
export const lastSeen = 'last seen';
export const end = 'Sign out';
export const pinInline = 'by PIN';
export const device = 'this device';
export const endSince = (value: string, where: string, said: string): string =>
  `Sign out ${value}${where}, since ${said}`;
export const wrongPasswordOrPin = 'wrong password or PIN';
export const triedAgainTooSoon = 'tried again too soon';
export const pinDeviceNotAllowed = 'a PIN on a device that is not allowed';
export const nameNobodyHere = 'a name nobody has here';
export const failedSignIns = 'Failed sign-ins';
export const noFailedSignIns = 'No failed sign-ins.';
export const last = 'Last';
export const nameInline = 'name';
export const from = 'from';
export const why = 'why';
export const timesDay = 'times that day';
export const devicesAcceptPin = 'Devices that accept a PIN';
export const noneYetEverybodySigns = 'None yet: everybody signs in by password.';
export const whatDeviceCalled = 'What this device is called';
export const tabletStove = 'Tablet at the stove';
export const allowPinDevice = 'Allow PIN on this device';
export const one = ' (this one)';
export const allowed = (said: string, by: string): string => `allowed ${said} by ${by}`;
export const endName = (name: string): string => `Remove ${name}`;
export const removeDevice = 'Remove';

// sign-in-form.tsx
export const halfPot = 'Half Pot';
export const whoWork = (kitchen: string): string => `Who is at work at ${kitchen}?`;
export const yourName = 'Your name';
export const passwordOrPinShared = 'Password, or PIN on the shared tablet';
export const sign = 'Sign in';
export const demoEverybodysPassword = 'This is the demo: everybody’s password is';
export const kestrelWeir = 'kestrel-weir';
export const openManager = 'Open it as the manager';
