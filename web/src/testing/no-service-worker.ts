/** In the place of `member/keep-page`: there is no service worker in jsdom, and no bundler that says whether this is development. */
export function keepPage(): void {}
export async function keepWhatWasLoaded(): Promise<void> {}
