import { addInset, DRAGGED_SCENE } from '../../state/insets';
import { useOtherScenes } from '../../state/projects';
import { Fold } from '../../ui/Fold';
import { SceneThumbnail } from './Thumbnail';

/** The other scenes of the project, each to be shown within this one. */
export function ProjectScenes() {
  const scenes = useOtherScenes();
  return (
    <Fold title="Scenes of this project" aside={scenes.length || ''}>
      {scenes.length === 0 ? (
        <p className="text-[12px] leading-snug text-soft">
          There is no other yet. A second scene of this project can be shown within this one.
        </p>
      ) : (
        <>
          <ul className="mb-2 grid grid-cols-3 gap-2" aria-label="Scenes of this project">
            {scenes.map((s) => (
              <li key={s.id} className="min-w-0">
                <button
                  type="button"
                  className="block w-full rounded-md text-left hover:bg-wash"
                  title={`Show ${s.name} within this scene`}
                  aria-label={`Add ${s.name}`}
                  draggable
                  onDragStart={(e) => e.dataTransfer.setData(DRAGGED_SCENE, JSON.stringify(s))}
                  onClick={() => void addInset(s)}
                >
                  <SceneThumbnail scene={s} />
                  <span className="block truncate text-[11px] text-soft">{s.name}</span>
                </button>
              </li>
            ))}
          </ul>
          <p className="text-[12px] leading-snug text-soft">
            Shown within this one, it follows what is done to it there. Choose one, or drag it onto
            the stage.
          </p>
        </>
      )}
    </Fold>
  );
}
