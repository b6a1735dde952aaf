import type { MemberSession } from "@kind-grip/core/api";

/** Where a session is followed alone. */
export function sessionAddress({ session, placementId }: Pick<MemberSession, "session" | "placementId">): string {
  return `/me/session/${session.id}${placementId ? `?placement=${placementId}` : ""}`;
}
