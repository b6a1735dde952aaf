/** What a schema found wrong, in words for a person. */
import type * as v from "valibot";

/** A missing or unknown field has no message of its own in a schema; every other problem says what its schema says. */
export function issueText(issue: v.BaseIssue<unknown>): string {
  const ofObject = issue.type === "strict_object" || issue.type === "object";
  if (ofObject && issue.expected === "never") return "is not a field known here";
  if (ofObject && issue.received === "undefined") return "is missing";
  // The stock messages repeat what was received; an answer may be nobody's business, so it is never said back.
  if (issue.message.startsWith("Invalid ")) return issue.expected ? `must be ${issue.expected}` : "is not valid";
  return issue.message;
}
