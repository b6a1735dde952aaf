/** What the forms of a one-time address share: what they are given, and how they say what is wrong. */
import type { UsedLink } from "@kind-grip/core/api";
import type { problemOf } from "../base/api";

export interface LinkFormProps {
  token: string;
  busy: boolean;
  problem: ReturnType<typeof problemOf> | undefined;
  onSend(used: UsedLink): Promise<void>;
}

/** What is wrong with a field. */
export const fieldIn = (problem: LinkFormProps["problem"]) => (path: string) =>
  problem?.fields.find((field) => field.path === path)?.message;
