import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { keptLog } from '../testing/people';
import { folderMailer, smtpMailer } from './mailer';

const letter = { subject: 'Über morgen', text: 'Open this:\n\nhttp://choir.example/x#secret\n' };

describe('mails without a mail server', () => {
  const root = mkdtempSync(join(tmpdir(), 'mails-'));
  afterAll(() => rmSync(root, { recursive: true }));

  it('become files that only who runs the server reads; the log says where, not what', async () => {
    const { log, lines } = keptLog();
    const folder = join(root, 'deep', 'mails');
    await folderMailer(folder, log).send('ash@example.org', letter);
    const [name] = readdirSync(folder);
    const text = readFileSync(join(folder, name!), 'utf8');
    expect(text).toContain('To: ash@example.org');
    expect(text).toContain('http://choir.example/x#secret');
    expect(statSync(join(folder, name!)).mode & 0o077).toBe(0);
    expect(lines.join('')).toContain(name);
    expect(lines.join('')).not.toContain('secret');
    expect(lines.join('')).not.toContain('ash@example.org');
  });

  it('fail nobody where the folder cannot be written', async () => {
    const { log, lines } = keptLog();
    const file = join(root, 'a-file');
    writeFileSync(file, '');
    await folderMailer(join(file, 'mails'), log).send('ash@example.org', letter);
    expect(lines.join('')).toContain('a mail could not be kept');
  });
});

describe('mails through a mail server', () => {
  it('are handed over as the protocol wants it', async () => {
    const heard: string[] = [];
    const server = createServer((socket) => {
      let inData = false;
      socket.write('220 here\r\n');
      socket.setEncoding('utf8');
      socket.on('data', (chunk: string) => {
        heard.push(chunk);
        if (inData) {
          if (!heard.join('').endsWith('\r\n.\r\n')) return;
          inData = false;
          socket.write('250 kept\r\n');
        } else if (/^DATA/i.test(chunk)) {
          inData = true;
          socket.write('354 go on\r\n');
        } else if (/^QUIT/i.test(chunk)) socket.end('221 bye\r\n');
        else socket.write('250 fine\r\n');
      });
    });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const { port } = server.address() as AddressInfo;
    const { log, lines } = keptLog();
    const url = `smtp://127.0.0.1:${port}?ignoreTLS=true`;
    await smtpMailer(url, log).send('ash@example.org', letter);
    expect(lines).toEqual([]);
    expect(heard.join('')).toContain('RCPT TO:<ash@example.org>');
    expect(heard.join('')).toContain('http://choir.example/x#secret');
    await new Promise((done) => server.close(done));
    // Nobody listens any more: said in the log, and nobody fails.
    await smtpMailer(url, log).send('ash@example.org', letter);
    expect(lines.join('')).toContain('a mail could not be sent');
  });
});
