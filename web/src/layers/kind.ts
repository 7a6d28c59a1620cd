import type { Component } from 'svelte';
import type { Layer } from '../api/types';
import type { Bench } from '../state/bench';

/** Something that can be laid in: how it looks (CSS of a small box) and the layer it becomes. */
export type Offer = { name: string; style: string; layer: Record<string, unknown> };

/** A layer of a kind. */
export type Of<K extends Layer['kind']> = Extract<Layer, { kind: K }>;

/** All that the interface knows of one kind of layer. A kind is a folder in `kinds`, and nothing else. */
export type Kind<K extends Layer['kind'] = Layer['kind']> = {
  kind: K;
  /** What it is called, and as something that is laid in. */
  name: string;
  title: string;
  /** Its place among the kinds. */
  order: number;
  /** What its card says beside its name. */
  aside: (layer: Of<K>) => string;
  /** A CSS background that stands for it at full strength. */
  ink: (layer: Of<K>) => string;
  /** What can be laid in of it. */
  offers: (parts: Pick<Bench, 'doc' | 'selection'>) => Offer[];
  Settings: Component<{ layer: Of<K> }>;
};
