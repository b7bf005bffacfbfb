import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Journey } from './journey/Journey';
import { Sheet } from './sheets/Sheet';
import { Bench } from './shell/Bench';
import { setHidden } from './shell/columns';
import { showPane } from './shell/layout';
import { ConflictDialog } from './shell/ConflictDialog';
import { FilesDialog } from './shell/FilesDialog';
import { OpenProjectDialog } from './shell/OpenProjectDialog';
import { SeriesDialog } from './sheets/series/SeriesDialog';
import { HistoryDialog } from './shell/HistoryDialog';
import { TryOutDialog } from './shell/TryOutDialog';
import { OffersDialog } from './shell/OffersDialog';
import { addressOf, sceneOf } from './shell/address';
import { FindDialog } from './shell/FindDialog';
import { HelpDialog } from './shell/HelpDialog';
import { ItemMenu } from './shell/ItemMenu';
import { runKey } from './shell/actions';
import { onKey } from './shell/keys';
import { useProjects } from './state/projects';
import { TopBar } from './shell/TopBar';
import { takeFiles } from './stage/pictureDrop';
import { watchSpace } from './stage/hand';
import { StageColumn } from './stage/Stage';
import { watchClipboard } from './state/clipboard';
import { useEditor } from './state/editor';
import { useFaces } from './state/faces';
import { openScene } from './state/autosave';
import { notify } from './state/notices';
import { keepFresh } from './state/pictures';
import { Notices } from './ui/Notices';
import { Region } from './ui/Region';

/** The workbench. The open scene is in the address, so that a reload shows it again. */
export function App() {
  const full = useEditor((s) => s.full);
  const sceneId = useEditor((s) => s.sceneId);
  const name = useEditor((s) => s.doc?.name);
  const tab = useEditor((s) => s.tab);
  const projects = useProjects();
  useWebFonts();

  useEffect(() => {
    window.addEventListener('keydown', onKey);
    const end = watchSpace(() => runKey('Space'));
    return () => {
      window.removeEventListener('keydown', onKey);
      end();
    };
  }, []);

  useEffect(takeFiles, []);
  useEffect(watchClipboard, []);

  const queries = useQueryClient();
  useEffect(() => keepFresh(queries), [queries]);

  // Another tab asks for its sheet.
  useEffect(
    () =>
      useEditor.subscribe((s, before) => {
        if (s.tab === before.tab) return;
        setHidden('sheet', false);
        showPane('sheet');
      }),
    [],
  );

  const first = projects.data?.find((p) => !p.deleted)?.scenes.find((s) => !s.deleted)?.id;
  useEffect(() => {
    if (sceneId || !first) return;
    openScene(sceneOf(location.hash) ?? first).catch(() => void openScene(first));
  }, [sceneId, first]);

  // Back, Forward and an address typed by hand lead to their scene.
  useEffect(() => {
    const follow = () => {
      const asked = sceneOf(location.hash);
      const now = useEditor.getState().sceneId;
      if (!asked || !now || asked === now) return;
      openScene(asked).catch((e: unknown) => {
        history.replaceState(null, '', addressOf(now));
        notify(e instanceof Error ? e.message : 'That scene cannot be opened', 'error');
      });
    };
    window.addEventListener('popstate', follow);
    return () => window.removeEventListener('popstate', follow);
  }, []);

  useEffect(() => {
    if (sceneId && sceneOf(location.hash) === null) {
      history.replaceState(null, '', addressOf(sceneId));
    } else if (sceneId && sceneOf(location.hash) !== sceneId) {
      history.pushState(null, '', addressOf(sceneId));
    }
    document.title = name ? `${name} · Roving Glyph` : 'Roving Glyph';
  }, [sceneId, name]);

  return (
    <div className="flex h-full flex-col">
      {!full && (
        <Region name="bar above">
          <TopBar />
        </Region>
      )}
      <Bench
        sheet={
          <Region name="sheet" key={tab}>
            <Sheet />
          </Region>
        }
        stage={
          <Region name="stage">
            <StageColumn />
          </Region>
        }
        journey={
          <Region name="Journey">
            <Journey />
          </Region>
        }
      />
      <Region name="dialog">
        <ItemMenu />
        <HelpDialog />
        <FindDialog />
        <ConflictDialog />
        <OffersDialog />
        <FilesDialog />
        <OpenProjectDialog />
        <SeriesDialog />
        <HistoryDialog />
        <TryOutDialog />
      </Region>
      <Notices />
      {projects.isError && !projects.data && (
        <p
          role="alert"
          className="fixed inset-x-0 top-14 mx-auto w-fit rounded-lg border border-vermilion bg-sheet px-4 py-2"
        >
          The server cannot be reached. It is tried again by itself.
        </p>
      )}
    </div>
  );
}

/** The typefaces as web fonts, for the list that shows each in itself. */
function useWebFonts(): void {
  const faces = useFaces();
  useEffect(() => {
    const added = new Set([...document.fonts].map((f) => f.family.replace(/["']/g, '')));
    faces.forEach((f) => {
      if (added.has(`face ${f.id}`)) return;
      document.fonts.add(new FontFace(`face ${f.id}`, `url(/api/faces/${f.id}/file)`));
    });
  }, [faces]);
}
