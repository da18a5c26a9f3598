/** What making, keeping and leaving an account says. */
export const accountWords = {
  make: 'Make an account',
  makeLead: 'Two minutes from now you have a sheet to print.',
  first: 'The first account',
  firstLead: 'Nobody has an account here yet. Yours will look after this installation: who may join, and what was sent.',
  closed: 'New accounts are made by your administrator here.',
  askInvitation: 'Accounts are made with an invitation here. Open the link of yours, or ask your administrator for one.',
  name: 'Your name',
  signIn: 'Sign-in name or e-mail',
  password: 'Password',
  passwordHelp: 'At least 10 characters. Four plain words do well.',
  go: 'Make my account',
  haveOne: 'I have an account',
  forgot: 'Forgot your password?',
  forgotLead: 'Type what you sign in with. A message with a link comes to you; it works for an hour.',
  send: 'Send me a link',
  sent: 'If somebody signs in with that name, a message is on its way. Its link works for an hour.',
  newPassword: 'New password',
  setPassword: 'Set it and sign in',
  backToSignIn: 'Back to signing in',
  title: 'Your account',
  signedInAs: (name: string, signIn: string): string => `${name}, signed in as ${signIn}`,
  passwordNow: 'Your password now',
  change: 'Change it',
  changed: 'Changed. Everywhere else you have been signed out.',
  sessions: 'Where you are signed in',
  thisOne: 'this one',
  used: (day: string): string => `last used ${day}`,
  end: 'Sign out there',
  yours: 'What is yours',
  exportLead: 'Everything you made and what students wrote, in one file.',
  export: 'Save everything as a file',
  leave: 'Delete my account',
  leaveLead: 'Your lessons, ladders and all that students wrote go with it, at once and for good. Save them as a file first.',
  leaveYes: 'Delete everything',
  stay: 'Keep it',
  administer: 'Look after this installation',
  whoMay: 'Who may make an account',
  rules: { open: 'Everybody who opens this site', invited: 'Whoever has an invitation', closed: 'Nobody' },
  invite: 'New invitation',
  invitation: 'One person can make an account with this link, within two weeks:',
  outbox: 'Messages',
  outboxLead: 'Messages are not sent out from here yet: they are kept in a folder, and shown below. Hand the link on yourself.',
  noMessages: 'No message has been written.',
  accounts: 'Accounts',
  isAdministrator: 'administrator',
  promote: 'Make administrator',
  log: 'What happened',
  when: 'When',
  who: 'Who',
  what: 'What',
  where: 'From',
  more: 'Earlier',
}

/** A browser by its name and its machine, from what it tells of itself. */
export function device(agent: string): string {
  const first = (all: [RegExp, string][]): string | undefined => all.find(([sign]) => sign.test(agent))?.[1]
  const browser = first([
    [/edg/i, 'Edge'],
    [/firefox/i, 'Firefox'],
    [/chrom/i, 'Chrome or Chromium'],
    [/safari/i, 'Safari'],
  ])
  const machine = first([
    [/iphone/i, 'iPhone'],
    [/ipad/i, 'iPad'],
    [/android/i, 'Android'],
    [/windows/i, 'Windows'],
    [/mac os/i, 'Mac'],
    [/linux/i, 'Linux'],
  ])
  return [browser ?? 'A browser', machine && `on ${machine}`].filter(Boolean).join(' ')
}

/** A day, from Unix time in seconds. */
export const dayOf = (seconds: number): string => new Date(seconds * 1000).toLocaleDateString(undefined, { dateStyle: 'medium' })

/** A moment, from Unix time in seconds. */
export const momentOf = (seconds: number): string => new Date(seconds * 1000).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
