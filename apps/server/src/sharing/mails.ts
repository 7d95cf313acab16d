import type { GivenRole } from '@field-nurse/contract';
import type { Mail } from '../mail/mail.js';

const may: Readonly<Record<GivenRole, string>> = {
  member: 'work in it',
  adviser: 'look at it and comment on its cases',
  viewer: 'look at it',
};

/** The letter with an invitation into a garden. */
export const invitationMail = ({
  to,
  by,
  garden,
  role,
  link,
}: {
  to: string;
  by: string;
  garden: string;
  role: GivenRole;
  link: string;
}): Mail => ({
  to,
  // A line break in a name would begin another header.
  subject: `${oneLine(by)} invites you into the garden ${oneLine(garden)}`,
  text: `Hello,

${by} invites you to share the garden “${garden}” in Field Nurse: you may ${may[role]}.

Accept or decline it here within two weeks:

${link}

If you do not know ${by}, do nothing.
`,
});

const oneLine = (text: string) => text.replace(/\s+/g, ' ');
