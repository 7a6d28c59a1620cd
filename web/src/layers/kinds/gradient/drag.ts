import type { Gradient, GradientLayer } from '../../../api/types';
import { put } from '../../../state/target';
import type { LayerDrag } from '../../drag';

/** Turns a straight gradient towards the pointer; moves the centre of any other there. */
const drag: LayerDrag<GradientLayer> = {
  verb: 'Turn',
  grab:
    ({ layer, target, screen, parts }) =>
    ({ at }) => {
      const box = parts.findings.areaOn(screen.id)?.box;
      if (!box) return null;
      const [left, top, width, height] = box as [number, number, number, number];
      const [x, y] = [at[0] - left, at[1] - top];
      const values: Partial<Gradient> =
        (layer.gradient.shape ?? 'linear') === 'linear'
          ? { angle: Math.round((Math.atan2(x - width / 2, height / 2 - y) * 180) / Math.PI + 360) % 360 }
          : { centre: [`${Math.round((x / width) * 100)}%`, `${Math.round((y / height) * 100)}%`] };
      return put(target, { gradient: { ...layer.gradient, ...values } });
    },
};

export default drag;
