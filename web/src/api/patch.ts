import type { Operation } from './types';

/** The keys along a JSON Pointer (RFC 6901, section 4). */
const keysOf = (path: string): string[] =>
  path
    .split('/')
    .slice(1)
    .map((key) => key.replaceAll('~1', '/').replaceAll('~0', '~'));

type Node = Record<string, unknown> | unknown[];

function copied(node: Node): Node {
  return Array.isArray(node) ? [...node] : { ...node };
}

function put(node: Node, key: string, operation: Operation): void {
  if (Array.isArray(node)) {
    const at = key === '-' ? node.length : Number(key);
    if (operation.op === 'add') node.splice(at, 0, operation.value);
    else if (operation.op === 'remove') node.splice(at, 1);
    else node[at] = operation.value;
  } else if (operation.op === 'remove') delete node[key];
  else node[key] = operation.value;
}

/** The value at a JSON Pointer (RFC 6901). */
export function at(root: unknown, path: string): unknown {
  return keysOf(path).reduce((node, key) => (node as Record<string, unknown>)[key], root);
}

function one<T>(root: T, operation: Operation): T {
  if (operation.op === 'move') {
    const value = at(root, operation.from ?? '');
    const without = one(root, { op: 'remove', path: operation.from ?? '' });
    return one(without, { op: 'add', path: operation.path, value });
  }
  if (operation.path === '') return operation.value as T;
  const keys = keysOf(operation.path);
  const last = keys.pop() ?? '';
  const result = copied(root as Node);
  let node = result;
  for (const key of keys) {
    const inner = copied((node as Record<string, Node>)[key] as Node);
    (node as Record<string, Node>)[key] = inner;
    node = inner;
  }
  put(node, last, operation);
  return result as T;
}

/** A JSON Patch (RFC 6902) applied to a document that stays as it was; what did not change is shared. */
export function patched<T>(document: T, patch: Operation[]): T {
  return patch.reduce(one, document);
}
