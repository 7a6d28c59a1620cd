import type { Problem } from './types';

/** What the server refused, with its place in the document. */
export class Refused extends Error {
  readonly status: number;
  readonly problem: Problem;

  constructor(status: number, problem: Problem) {
    super(problem.message);
    this.status = status;
    this.problem = problem;
  }
}

export const OFFLINE: Problem = {
  kind: 'offline',
  message: 'The application does not answer. What was kept is safe; it goes on as soon as it answers again.',
  path: '$',
};

/** The body of an answer. Throws Refused. */
export async function answer<T>(call: Promise<Response>): Promise<T> {
  let response: Response;
  try {
    response = await call;
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new Refused(0, OFFLINE);
  }
  const body: unknown = await response.json().catch((error: unknown) => {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    return null;
  });
  if (!response.ok) throw new Refused(response.status, (body as Problem | null) ?? OFFLINE);
  return body as T;
}
