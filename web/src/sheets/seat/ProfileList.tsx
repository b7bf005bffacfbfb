import { Plus, Trash2 } from 'lucide-react';
import type { Lettering, Profile } from '../../core/document';
import { endGesture } from '../../state/editor';
import { changeChosen } from '../../state/values';
import { useFaces } from '../../state/faces';
import { Choice, Segments } from '../../ui/Choice';
import { IconButton } from '../../ui/IconButton';
import { CurveEditor } from './CurveEditor';

type Of = Profile['of'];

const OF: Record<Of, { label: string; unit: string; range: [number, number]; start: number[] }> = {
  size: { label: 'Size', unit: '%', range: [20, 200], start: [70, 130, 70] },
  turn: { label: 'Turn', unit: '°', range: [-90, 90], start: [-20, 20] },
  shift: { label: 'Shift', unit: 'px', range: [-200, 200], start: [0, 40, 0] },
  tracking: { label: 'Tracking', unit: 'em', range: [-0.3, 1], start: [0, 0.3, 0] },
  axis: { label: 'Axis', unit: '', range: [0, 1000], start: [] },
};

/** What changes from letter to letter, each as a small curve. */
export function ProfileList({ lettering }: { lettering: Lettering }) {
  const face = useFaces().find((f) => f.id === lettering.face);
  const profiles = lettering.profiles ?? [];
  const put = (next: Profile[], merge = '') =>
    changeChosen(lettering.id, { profiles: next }, merge);
  const change = (i: number, parts: Partial<Profile>, merge = '') =>
    put(
      profiles.map((p, k) => (k === i ? { ...p, ...parts } : p)),
      merge,
    );
  const options: { value: string; label: string }[] = (
    ['size', 'turn', 'shift', 'tracking'] as Of[]
  ).map((of) => ({ value: of, label: OF[of].label }));
  face?.axes.forEach((a) => options.push({ value: `axis-${a.tag}`, label: a.name }));

  const axisOf = (p: Profile) => face?.axes.find((a) => a.tag === p.axis);
  const rangeOf = (p: Profile): [number, number] => {
    const axis = p.of === 'axis' ? axisOf(p) : undefined;
    return axis ? [axis.least, axis.greatest] : OF[p.of].range;
  };
  const begin = (word: string): Partial<Profile> => {
    const axis = face?.axes.find((a) => `axis-${a.tag}` === word);
    if (axis) {
      return {
        of: 'axis',
        axis: axis.tag,
        points: [
          [0, axis.least],
          [1, axis.greatest],
        ],
      };
    }
    const of = word as Of;
    const values = OF[of].start;
    return { of, points: values.map((v, i) => [i / (values.length - 1), v]) };
  };
  return (
    <>
      {profiles.map((p, i) => (
        <div key={i} className="mb-2 rounded-lg bg-paper p-2.5" data-testid={`profile-${i}`}>
          <div className="mb-1.5 flex items-center gap-1">
            <div className="min-w-0 flex-1">
              <Choice
                bare
                label="What changes"
                value={p.of === 'axis' ? `axis-${p.axis}` : p.of}
                options={options}
                onChange={(word) => change(i, begin(word))}
              />
            </div>
            <IconButton
              label="Take this curve away"
              onClick={() => put(profiles.filter((_, k) => k !== i))}
            >
              <Trash2 className="size-3.5" />
            </IconButton>
          </div>
          <Segments
            label="Along the"
            value={p.along}
            options={[
              { value: 'run', label: 'Text', detail: 'From its first letter to its last' },
              { value: 'path', label: 'Path', detail: 'Where on the path the letter is' },
            ]}
            onChange={(along) => change(i, { along })}
          />
          <CurveEditor
            label={options.find((o) => o.value === (p.axis ? `axis-${p.axis}` : p.of))?.label ?? ''}
            unit={OF[p.of].unit}
            range={rangeOf(p)}
            points={p.points}
            onChange={(points) => change(i, { points }, `profile.${i}`)}
            onEnd={endGesture}
          />
        </div>
      ))}
      <button
        type="button"
        className="btn w-full"
        onClick={() => put([...profiles, { along: 'run', ...begin('size') } as Profile])}
      >
        <Plus className="size-4" /> Let letters change along the run
      </button>
    </>
  );
}
