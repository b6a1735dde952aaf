/** Whether an answer will be the same however often the same thing is sent. @param status of the answer; a word when none came */
export function isFinal(status: number | string | undefined): boolean {
  return status === 400 || status === 403 || status === 404 || status === 409 || status === 413;
}
