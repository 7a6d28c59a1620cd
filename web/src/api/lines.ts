import { ofSite } from './site';
import { Refused } from './answer';
import type { Problem } from './types';
import { window } from './window';

/** An answer that comes line by line (JSON, one object a line), as its parts are found. */
export async function* lines<T>(path: string, body: unknown, signal: AbortSignal): AsyncGenerator<T> {
  const headers = { 'content-type': 'application/json', ...window() };
  const response = await fetch(ofSite(path), { method: 'POST', headers, body: JSON.stringify(body), signal });
  if (!response.ok || !response.body) throw new Refused(response.status, (await response.json()) as Problem);
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    rest += value ?? '';
    const parts = rest.split('\n');
    rest = parts.pop() ?? '';
    for (const part of parts) yield told<T>(part);
    if (done) return;
  }
}

/** A line; the line about a problem is thrown. */
function told<T>(text: string): T {
  const line = JSON.parse(text) as { kind: string; status?: number; message?: string };
  if (line.kind === 'problem')
    throw new Refused(line.status ?? 500, { kind: 'problem', message: line.message ?? '', path: '$' });
  return line as T;
}
