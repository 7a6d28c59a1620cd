export const VIEWS = [
  { id: 'sites', name: 'Sites', note: 'All sites: new ones, copies, those that were removed' },
  { id: 'bench', name: 'Bench', note: 'The page on every screen, and what lies behind its words' },
  { id: 'pages', name: 'Pages', note: 'The pages of the site: new ones, copies, their order and addresses' },
  { id: 'calendar', name: 'Calendar', note: 'Where and when: bands that rules show, day by day' },
  { id: 'framing', name: 'Framing', note: 'The whole picture, and what every screen cuts from it' },
  { id: 'shelf', name: 'Shelf', note: 'The pictures of the site, pictures on loan, saved looks' },
  { id: 'bring', name: 'Bring in', note: 'A stylesheet or a page of your own, read and laid on areas' },
  { id: 'schemes', name: 'Schemes', note: 'Coordinated colours, tried on the whole site' },
  { id: 'situations', name: 'Situations', note: 'Every situation a visitor can meet, and every width' },
  {
    id: 'release',
    name: 'Release',
    note: 'What has changed since what is live, putting it live, going back',
  },
  { id: 'take', name: 'Take away', note: 'CSS, HTML and pictures for your site' },
] as const;

export type View = (typeof VIEWS)[number]['id'];

/** The views by the order of the work. */
export const GROUPS: readonly { title: string; views: readonly View[] }[] = [
  { title: 'Sites', views: ['sites'] },
  { title: 'Make', views: ['bench', 'pages', 'calendar', 'framing', 'shelf', 'bring', 'schemes'] },
  { title: 'Check', views: ['situations'] },
  { title: 'Hand out', views: ['release', 'take'] },
];

/** The view of a name; the bench where there is none of it. */
export function viewOf(name: string | null): View {
  return VIEWS.find((v) => v.id === name)?.id ?? 'bench';
}
