import type { Mail } from '../mail/mail.js';

/** The letter with a link that sets a new password. */
export const resetMail = ({ name, email }: { name: string; email: string }, link: string): Mail => ({
  to: email,
  subject: 'A new password for Field Nurse',
  text: `Hello ${name},

somebody asked for a new password for your account. If it was you, set it here within an hour:

${link}

If it was not you, do nothing: your password stays as it is.
`,
});
