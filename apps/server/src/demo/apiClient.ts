type Method = 'get' | 'post' | 'put';

/** A small client of our own API: keeps the session's cookies and sends its token back, as a browser would. */
export class ApiClient {
  readonly #cookies = new Map<string, string>();

  constructor(readonly address: string) {}

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
  async sendFile<T>(path: string, file: Uint8Array, type: string): Promise<T> {
    const answer = await this.#ask('put', path, file, type);
    const text = await answer.text();
    if (!answer.ok) throw new Error(`put ${path} was refused with ${answer.status}: ${text}`);
    return JSON.parse(text) as T;
  }

  /** The status alone. */
  async status(method: Method, path: string, body?: unknown): Promise<number> {
    const answer = await this.#ask(method, path, body);
    await answer.arrayBuffer();
    return answer.status;
  }

  async #ask(method: Method, path: string, body?: unknown, type = 'application/json'): Promise<Response> {
    const answer = await fetch(this.address + path, {
      method: method.toUpperCase(),
      headers: {
        'Content-Type': type,
        Cookie: [...this.#cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        'X-XSRF-TOKEN': this.#cookies.get('XSRF-TOKEN') ?? '',
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
