import type { AddJobFunction, TaskList } from 'graphile-worker';
import type { Mail, Mailer } from './mail.js';

const sendOne = 'send-mail';

/** Letters through the queue: nobody waits for the mail server, and one that does not answer is tried again. */
export const queuedMail = (addJob: () => AddJobFunction): Mailer => ({
  works: true,
  send: async (mail) => {
    await addJob()(sendOne, mail, { maxAttempts: 8 });
  },
});

export const mailTasks = (mailer: Mailer): TaskList => ({ [sendOne]: (payload) => mailer.send(payload as Mail) });
