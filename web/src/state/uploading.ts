import { api, ServerError } from '../api/client';

/** Bytes of a piece of an upload; see the Java class StoredFiles. */
const PIECE = 2 ** 20;

/** How long a lost connection is waited for before it is tried again, ms. */
const AGAIN = 2000;

/** What an upload tells on its way, and asks. */
export interface Course {
  /** @param part 0 to 1 */
  done: (part: number) => void;
  /** The connection is lost: it goes on by itself. */
  waiting: (is: boolean) => void;
  givenUp: () => boolean;
}

/** Uploads a file in pieces; the id of its upload, or null if it was given up. */
export async function sendPieces(
  file: File,
  begin: () => Promise<{ id: string }>,
  course: Course,
): Promise<string | null> {
  const { id } = await lasting(course, begin);
  const pieces = Math.ceil(file.size / PIECE);
  for (let n = 0; n < pieces && !course.givenUp(); n++) {
    const piece = file.slice(n * PIECE, Math.min(file.size, (n + 1) * PIECE));
    await lasting(course, () => api.putPiece(id, n, piece));
    course.done((n + 1) / pieces);
  }
  if (!course.givenUp()) return id;
  await api.giveUpUpload(id).catch(() => undefined);
  return null;
}

/** Does it again for as long as the connection is lost. */
export async function lasting<T>(course: Course, work: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      const done = await work();
      course.waiting(false);
      return done;
    } catch (e) {
      const lost = e instanceof ServerError && (e.status === 0 || e.status >= 502);
      if (!lost || course.givenUp()) throw e;
      course.waiting(true);
      await new Promise((go) => setTimeout(go, AGAIN));
    }
  }
}
