/** Where a run is led. */
export function runAddress(entry: { crewId: string; programId: string; sessionId: string; placementId?: string }): string {
  const place = entry.placementId ? `?placement=${entry.placementId}` : "";
  return `/crews/${entry.crewId}/run/${entry.programId}/${entry.sessionId}${place}`;
}
