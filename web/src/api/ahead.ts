import { sceneOf } from '../shell/address';

const asked = new Map<string, Promise<Response>>();

function ask(url: string): Promise<Response> {
  const answer = fetch(url);
  // Whoever takes it sees what went wrong; nobody has to.
  answer.catch(() => undefined);
  asked.set(url, answer);
  return answer;
}

/**
 * Asks for the projects and the scene that the page will show, before the page is there to ask.
 *
 * @param known told which scene that is
 */
export function askSceneAhead(known: (scene: string) => void): void {
  const scene = sceneOf(location.hash);
  const projects = ask('/api/projects');
  const asks = (id: string) => {
    known(id);
    void ask(`/api/scenes/${id}`);
  };
  if (scene) asks(scene);
  else void projects.then((r) => r.clone().json()).then((all: Listed) => askFirst(all, asks), none);
}

type Listed = { deleted: boolean; scenes: { id: string; deleted: boolean }[] }[];

const none = () => undefined;

function askFirst(projects: Listed, asks: (id: string) => void) {
  const scenes = projects.find((p) => !p.deleted)?.scenes;
  const first = scenes?.find((s) => !s.deleted)?.id;
  if (first) asks(first);
}

/** An answer that was asked for ahead; once, as it may be out of date the next time. */
export function takeAhead(method: string, url: string): Promise<Response> | undefined {
  const answer = method === 'GET' ? asked.get(url) : undefined;
  asked.delete(url);
  return answer;
}
