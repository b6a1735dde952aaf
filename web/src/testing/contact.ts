/** An e-mail address somebody agreed to be reminded at. */
import type { ContactEntry } from "@kind-grip/core/api";
import { sampleId } from "./sample";

export const sampleContact = (change: Partial<ContactEntry> = {}): ContactEntry => ({
  id: sampleId(),
  personId: sampleId(),
  way: "email",
  address: "ann@crew.example",
  givenAt: "2026-03-02T08:00:00.000Z",
  givenBy: null,
  withdrawnAt: null,
  withdrawnBy: null,
  ...change,
});
