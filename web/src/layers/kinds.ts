import type { Component } from 'svelte';
import type { Layer } from '../api/types';
import LayerStrength from './LayerStrength.svelte';

/** A layer of a kind. */
export type Of<K extends Layer['kind']> = Extract<Layer, { kind: K }>;

type Settings = Component<{ layer: Layer; member?: boolean }>;
const modules = import.meta.glob<Settings>('./kinds/*/Settings.svelte', { eager: true, import: 'default' });

/** The settings of a layer's kind: a folder of its name. A kind that has none is set in what all layers have. */
export function settingsOf(layer: Layer): Settings {
  return modules[`./kinds/${layer.kind}/Settings.svelte`] ?? (LayerStrength as Settings);
}

/** Whether more of a layer of its kind differs by screen than on which it is shown. */
export const varies = (layer: Layer): boolean => ['image', 'video', 'gradient'].includes(layer.kind);
