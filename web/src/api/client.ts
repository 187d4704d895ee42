import type { components } from './generated/schema';

export type Schemas = components['schemas'];

/** What is wrong with one field of a form. */
export interface FieldProblem {
  field: string;
  read: string;
  sentence: string;
}

/** An answer that isn't the one wanted, with a sentence for the maker. */
export class Problem extends Error {
  constructor(
    sentence: string,
    readonly status: number,
    readonly errors: FieldProblem[] = [],
    readonly currentVersion?: number,
  ) {
    super(sentence);
  }

  /** Somebody saved the same thing since it was read. */
  get isClash() {
    return this.status === 409;
  }

  /** Nothing answered at all. */
  get isAway() {
    return this.status === 0;
  }

  on(field: string) {
    return this.errors.find((error) => error.field === field)?.sentence;
  }
}

const AWAY = 'Mardun doesn’t answer. What you typed is still here; start it again and save once more.';

function csrfToken() {
  return document.cookie
    .split('; ')
    .find((cookie) => cookie.startsWith('XSRF-TOKEN='))
    ?.slice('XSRF-TOKEN='.length);
}

async function request<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const headers: Record<string, string> = { Accept: 'application/json' };
  const file = body instanceof Blob;
  if (body !== undefined) headers['Content-Type'] = file ? 'application/octet-stream' : 'application/json';
  const token = csrfToken();
  if (token) headers['X-XSRF-TOKEN'] = token;
  let response: Response;
  try {
    response = await fetch(path, { method, headers, body: file ? body : JSON.stringify(body), signal });
  } catch (failure) {
    if (signal?.aborted) throw failure;
    throw new Problem(AWAY, 0);
  }
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as T;
  throw await problemOf(response);
}

/** Told to the page when this device has to say the passphrase first. */
export const AT_THE_DOOR = 'mardun:at-the-door';

async function problemOf(response: Response) {
  if (response.status === 401) window.dispatchEvent(new Event(AT_THE_DOOR));
  const type = response.headers.get('Content-Type') ?? '';
  if (!type.includes('json')) return new Problem(`Mardun answered with ${response.status}.`, response.status);
  const details = (await response.json()) as {
    detail?: string;
    errors?: FieldProblem[];
    currentVersion?: number;
  };
  return new Problem(
    details.detail ?? `Mardun answered with ${response.status}.`,
    response.status,
    details.errors,
    details.currentVersion,
  );
}

export const api = {
  get: <T>(path: string, signal?: AbortSignal) => request<T>('GET', path, undefined, signal),
  post: <T>(path: string, body: unknown, signal?: AbortSignal) => request<T>('POST', path, body, signal),
  put: <T>(path: string, body: unknown) => request<T>('PUT', path, body),
  remove: (path: string) => request<void>('DELETE', path),
};
