import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Series } from '../../api/client';
import { useKeeper } from '../../state/autosave';
import { useEditor } from '../../state/editor';
import { useSeries } from '../../state/handOff';
import { notify } from '../../state/notices';
import { Modal } from '../../ui/Modal';
import { MakeSeries } from './MakeSeries';
import { NewTable } from './NewTable';
import { SeriesRows } from './SeriesRows';

const close = () => useSeries.setState({ open: false });

/** One design, many texts: a table, what its columns are for, and what every row becomes. */
export function SeriesDialog() {
  const open = useSeries((s) => s.open);
  return (
    <Modal title="A series from a table" open={open} onClose={close} wide>
      <Content />
    </Modal>
  );
}

function Content() {
  const scene = useEditor((s) => s.sceneId) ?? '';
  const kept = useKeeper((s) => s.state === 'kept');
  const client = useQueryClient();
  // Pictures are asked for anew whenever something may have changed what they show.
  const [turn, setTurn] = useState(() => Date.now());
  // The table that is there stays until another has come.
  const [another, setAnother] = useState(false);
  const key = ['series', scene];
  const series = useQuery({ queryKey: key, queryFn: () => api.series(scene), enabled: kept });
  const taken = (s: Series) => {
    client.setQueryData(key, s);
    setAnother(false);
    void client.invalidateQueries({ queryKey: ['series-rows', scene] });
    setTurn(Date.now());
  };
  const failed = (e: unknown) => notify(e instanceof Error ? e.message : String(e), 'error');
  const now = series.data;
  if (series.isError) return <p role="alert">{series.error.message}</p>;
  if (!now) return <p className="py-6 text-soft">One moment …</p>;
  if (another || now.columns.length === 0) {
    return (
      <NewTable
        onTable={(table) => api.putSeries(scene, table).then(taken)}
        onBack={another ? () => setAnother(false) : undefined}
      />
    );
  }
  return (
    <div className="flex h-[74vh] min-h-0 flex-col">
      <SeriesRows
        scene={scene}
        series={now}
        turn={turn}
        onMatch={(fields) => void api.matchSeries(scene, fields).then(taken, failed)}
      />
      <MakeSeries scene={scene} series={now} onOther={() => setAnother(true)} onMade={close} />
    </div>
  );
}
