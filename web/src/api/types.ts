import type { components } from './generated';

type Schemas = components['schemas'];

export type State = Schemas['StateView'];
export type Site = State['document'];
export type Page = Site['pages'][number];
export type Band = NonNullable<Page['bands']>[number];
export type Block = Schemas['Block'];
export type Layer = Schemas['ColourLayer'] | Schemas['ImageLayer'];
export type ColourLayer = Schemas['ColourLayer'];
export type ImageLayer = Schemas['ImageLayer'];
export type Asset = Schemas['Asset'];
export type Screen = Schemas['Screen'];
export type Live = Schemas['Live'];
export type Reading = Schemas['ReadingView'];
export type Letter = Schemas['LetterView'];
export type BuildUp = Schemas['BuildUpView'];
export type Card = Schemas['CardView'];
export type Overlay = Schemas['OverlayView'];
export type Rule = Schemas['RuleView'];
export type BundleFile = Schemas['BundleFile'];
export type Font = Schemas['FontView'];
export type Problem = Schemas['ProblemView'];
export type Operation = {
  op: 'add' | 'remove' | 'replace' | 'move';
  path: string;
  value?: unknown;
  from?: string;
};
