/**
 * A page that stands open while the server is brought up to date asks for code that is not there any more. It is loaded anew, with what
 * was being written kept as after any reload; not while the server is away, and once in a minute at most.
 */
/** The code of a page or a part of one could not be fetched: no connection, or an address that is gone. */
export class CodeNotFetched extends Error {}

/** @throws CodeNotFetched where the code cannot be had */
export async function fetched<Code>(load: () => Promise<Code>): Promise<Code> {
  try {
    return await load();
  } catch (cause) {
    throw new CodeNotFetched(cause instanceof Error ? cause.message : "", { cause });
  }
}

const KEPT = "kind-grip-loaded-anew";
const AGAIN_AFTER_MS = 60_000;

/** @param isThere whether the server answers */
export function reloadForLostCode(
  reload: () => void = () => location.reload(),
  isThere: () => Promise<boolean> = () =>
    fetch("/healthz").then(
      ({ ok }) => ok,
      () => false,
    ),
): void {
  window.addEventListener("vite:preloadError", () => {
    void isThere().then((there) => {
      const last = Number(sessionStorage.getItem(KEPT) ?? 0);
      if (!there || Date.now() - last < AGAIN_AFTER_MS) return;
      sessionStorage.setItem(KEPT, String(Date.now()));
      reload();
    });
  });
}
