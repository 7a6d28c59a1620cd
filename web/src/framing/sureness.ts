import type { Framing } from '../api/types';

/** How sure it is what must stay in sight, in words. */
export const SURENESS: Record<Framing['sureness'], string> = {
  marked: '',
  sure: 'It is clear what matters in this picture.',
  likely: 'What matters in this picture is fairly clear.',
  doubtful: '',
};

export const DOUBT = 'What matters in this picture is not certain.';

/** Whether somebody has to say what matters: nobody has, and pixels do not tell. */
export function doubtful(framing: Framing, focal: readonly number[] | null | undefined): boolean {
  const [x = 0.5, y = 0.5] = focal ?? [];
  const [across, down] = framing.focal;
  return framing.sureness === 'doubtful' && Math.hypot(x - across, y - down) < 0.002;
}
