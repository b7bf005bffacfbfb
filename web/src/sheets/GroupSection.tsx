import type { Group } from '../core/document';
import { select, useEditor } from '../state/editor';
import { nameOf } from '../state/items';
import { ungroup } from '../state/itemActions';
import { changeItem } from '../state/values';
import { CentreFields } from './CentreFields';

/** The name of a group, what it turns about, and what is in it. */
export function GroupSection({ group }: { group: Group }) {
  const doc = useEditor((s) => s.doc);
  return (
    <section className="section">
      <h2 className="section-title">Group</h2>
      <label className="mb-2 block">
        <span className="mb-1 block text-[12px] text-soft">Name</span>
        <input
          className="field"
          value={group.name}
          maxLength={200}
          onChange={(e) => {
            const name = e.target.value;
            changeItem(group.id, { name }, `${group.id}.name`);
          }}
        />
      </label>
      <CentreFields item={group.id} centre={group.centre} />
      <p className="mt-2 mb-1 text-[12px] text-soft">In it, back to front</p>
      <ul className="space-y-1">
        {group.members.map((id) => (
          <li key={id}>
            <button
              type="button"
              className="w-full truncate rounded-md border border-rule px-2.5 py-1.5 text-left hover:border-soft"
              onClick={() => select(id)}
            >
              {nameOf(doc, id)}
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn mt-2 w-full" onClick={() => ungroup(group.id)}>
        Take the group apart
      </button>
    </section>
  );
}
