import type { AimMissed } from "@kind-grip/core/compose";
import { durationText } from "@kind-grip/core/units";
import type { Words } from "@kind-grip/core/language";
import { t } from "../base/words";
import { SESSION_NAMES } from "../program/session-names";

/** Why a proposal cannot be made a program yet, in words. */
export function missedText(words: Words, missed: AimMissed): string {
  if (missed.aim === "nothing") return t("Nothing is in it: give a session some time");
  const session = SESSION_NAMES[missed.slot];
  switch (missed.aim) {
    case "slot":
      return t("{{session}} leaves time unused that something would need: {{time}} are used", {
        session,
        time: durationText(missed.usedSec),
      });
    case "light":
      return t("{{session}} has room for the whole dose of {{name}}", { session, name: words.movementName(missed.movementId) });
    case "ready":
      return t("{{session}} gets ready for {{time}}: a minute is the least", { session, time: durationText(missed.readySec) });
    case "must":
      return {
        ready: t("{{session}} does not begin by getting ready", { session }),
        shoulders: t("{{session}} does not begin at the shoulders", { session }),
        stretch: t("{{session}} holds no stretch", { session }),
        close: t("{{session}} has nothing that closes it", { session }),
      }[missed.must];
  }
}
