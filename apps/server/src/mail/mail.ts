import { createTransport } from 'nodemailer';

export interface Mail {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/** Where letters go. */
export interface Mailer {
  /** false where no mail can be sent: links are then shown to who makes them */
  readonly works: boolean;
  send(mail: Mail): Promise<void>;
}

export const noMail: Mailer = { works: false, send: () => Promise.resolve() };

/** Send at once through an SMTP server. @throws Error when it does not take the letter */
export function smtp(url: string, from: string): Mailer {
  const transport = createTransport(url, { from, disableFileAccess: true, disableUrlAccess: true });
  return {
    works: true,
    send: async (mail) => {
      await transport.sendMail(mail);
    },
  };
}
