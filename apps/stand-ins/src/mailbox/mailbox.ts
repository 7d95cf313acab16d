import { simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';

export interface Letter {
  readonly to: string;
  readonly from: string;
  readonly subject: string;
  readonly text: string;
}

const most = 200;

/** A mailbox that takes every letter, whoever it is for, and forwards none. */
export function createMailbox() {
  const letters: Letter[] = [];
  const smtp = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS', 'AUTH'],
    onData: (stream, _session, done) => {
      void simpleParser(stream).then(({ to, from, subject, text }) => {
        const toText = Array.isArray(to) ? to.map((one) => one.text).join(', ') : (to?.text ?? '');
        letters.unshift({ to: toText, from: from?.text ?? '', subject: subject ?? '', text: text ?? '' });
        letters.length = Math.min(letters.length, most);
        done();
      }, done);
    },
  });
  return {
    /** the newest first */
    letters: letters as readonly Letter[],
    listen: (port: number) => new Promise<void>((ready) => smtp.listen(port, '127.0.0.1', ready)),
    port: () => (smtp.server.address() as { port: number }).port,
    close: () => new Promise<void>((done) => smtp.close(done)),
  };
}

export type Mailbox = ReturnType<typeof createMailbox>;
