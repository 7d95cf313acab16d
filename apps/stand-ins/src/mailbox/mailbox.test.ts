import { createTransport } from 'nodemailer';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createStandIns } from '../standIns';
import { createMailbox } from './mailbox';

test('what is sent by SMTP can be read there, as a page and as JSON, and does no harm in it', async () => {
  const mailbox = createMailbox();
  await mailbox.listen(0);
  const web = createServer(createStandIns(mailbox).callback()).listen(0, '127.0.0.1');
  await new Promise((ready) => web.once('listening', ready));
  const address = `http://127.0.0.1:${(web.address() as AddressInfo).port}`;
  try {
    const transport = createTransport(`smtp://127.0.0.1:${mailbox.port()}`);
    await transport.sendMail({
      from: 'garden@test.example',
      to: 'nell@test.example',
      subject: 'Käfer <b>',
      text: 'See https://garden.test.example/x\n<script>1</script>',
    });
    const { letters } = (await (await fetch(`${address}/mailbox.json`)).json()) as { letters: unknown[] };
    expect(letters).toMatchObject([{ to: 'nell@test.example', subject: 'Käfer <b>' }]);
    const page = await (await fetch(`${address}/mailbox`)).text();
    expect(page).toContain('<a href="https://garden.test.example/x">');
    expect(page).not.toContain('<script>');
  } finally {
    web.close();
    await mailbox.close();
  }
});
