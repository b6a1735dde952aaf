/** Whether the server and its records can be reached, and have room. */
export function isServerReady(): Promise<boolean> {
  return fetch("/readyz").then(
    (answer) => answer.ok,
    () => false,
  );
}
