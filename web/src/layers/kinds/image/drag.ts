import type { ImageLayer, ScreenWindow } from '../../../api/types';
import { on } from '../../../state/screens';
import { put } from '../../../state/target';
import type { LayerDrag } from '../../drag';
import { spotted } from '../../members';

/** Moves a picture: its focal point, or its place where it has one. How far it can move is what the core says. */
const drag: LayerDrag<ImageLayer> = {
  verb: 'Move',
  grab: ({ layer, target, scope, screen, parts }) => {
    // where it lay when it was grabbed, as soon as that is known
    let view: ScreenWindow | undefined;
    return ({ by }) => {
      const { framing } = parts.findings;
      if (framing?.layer === layer.id) view ??= framing.screens.find((s) => s.screen === screen.id);
      if (!view) return null;
      const { area, tile, offset } = view;
      const own = on(layer, screen.id);
      const place = [offset[0] + by[0], offset[1] + by[1]] as const;
      if (own.repeat?.some((r) => r !== 'no-repeat') || own.position) {
        const [across, down] = place.map((v) => `${Math.round(v)}px`);
        return put(target, { position: { side: 'left', across, end: 'top', down } }, scope);
      }
      const share = (axis: 0 | 1) => {
        const room = area[axis] - tile[axis];
        if (Math.abs(room) < 1) return own.focal?.[axis] ?? 0.5;
        return Math.round(Math.min(1, Math.max(0, place[axis] / room)) * 1000) / 1000;
      };
      return put(target, spotted(layer, [share(0), share(1)]), scope);
    };
  },
};

export default drag;
