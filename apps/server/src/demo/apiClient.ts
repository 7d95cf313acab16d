import type { GivenRole, NewInvitation } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';

type Method = 'get' | 'post' | 'put' | 'delete';

/** A small client of our own API: keeps the session's cookies and sends its token back, as a browser would. */
export class ApiClient {
  readonly #cookies = new Map<string, string>();

  /** @param token - a script's, instead of signing in */
  constructor(
    readonly address: string,
    readonly token?: string,
  ) {}

  /** What a browser would send. */
  cookies = (): string => [...this.#cookies].map(([name, value]) => `${name}=${value}`).join('; ');

  /** What a page sends back to show that it is ours. */
  siteToken = (): string => this.#cookies.get('XSRF-TOKEN') ?? '';

  /** Make an account; from then on the client is signed in as this person. */
  async signUp(person: { name: string; email: string; password: string }): Promise<void> {
    this.#cookies.clear();
    await this.send('get', '/api/v1/session');
    await this.send('post', '/api/v1/people', person);
  }

  /** @throws Error with the server's answer when it refuses */
  async send<T>(method: Method, path: string, body?: unknown): Promise<T> {
    const answer = await this.#ask(method, path, body);
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${method} ${path} was refused with ${answer.status}: ${text}`);
    return JSON.parse(text) as T;
  }

  /** Send a file as it is. @throws Error with the server's answer when it refuses */
  async sendFile<T>(path: string, file: Uint8Array, type: string, method: Method = 'put'): Promise<T> {
    const answer = await this.#ask(method, path, file, type);
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${method} ${path} was refused with ${answer.status}: ${text}`);
    return JSON.parse(text) as T;
  }

  /** Invite somebody into a garden, and accept as them. */
  async invite(garden: string, guest: ApiClient, role: GivenRole): Promise<void> {
    const { link } = await this.send<NewInvitation>('post', `/api/v1/gardens/${garden}/invitations`, {
      id: randomUUID(),
      role,
      email: null,
    });
    await guest.send('post', `/api/v1/invitations/${link.split('/').at(-1)!}/accept`, {});
  }

  /** The status and the words of an answer, whatever it is. */
  async answer(method: Method, path: string, body?: unknown): Promise<{ status: number; text: string }> {
    const answer = await this.#ask(method, path, body);
    return { status: answer.status, text: await answer.text() };
  }

  /** The status alone. */
  async status(method: Method, path: string, body?: unknown): Promise<number> {
    return (await this.answer(method, path, body)).status;
  }

  async #ask(method: Method, path: string, body?: unknown, type = 'application/json'): Promise<Response> {
    const answer = await fetch(this.address + path, {
      method: method.toUpperCase(),
      headers: {
        'Content-Type': type,
        ...(this.token && { Authorization: `Bearer ${this.token}` }),
        Cookie: this.cookies(),
        'X-XSRF-TOKEN': this.siteToken(),
      },
      ...(body !== undefined && { body: body instanceof Uint8Array ? Buffer.from(body) : JSON.stringify(body) }),
    });
    for (const cookie of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie) ?? [];
      if (name && value !== undefined) this.#cookies.set(name, value);
    }
    return answer;
  }
}
