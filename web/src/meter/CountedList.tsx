/** What a phone in the hand counted: each item and side with its repetitions, the seconds of each way, and how the pace went. */
import { Box, Typography } from "@mui/material";
import type { Words } from "@kind-grip/core/language";
import { againstDose, countedItems, type CountedBout, type CountedItem } from "@kind-grip/core/meter";
import type { Session } from "@kind-grip/core/session";
import { useWords } from "../base/library";
import { numberText } from "../base/measures";
import { SideMark } from "../parts/SideMark";

export function CountedList({ counted, session }: { counted: readonly CountedBout[]; session: Session }) {
  const words = useWords();
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {countedItems(counted).map((item) => {
        const told = toldOf(item, words);
        const movementId = session.items.find(({ id }) => id === item.itemId)?.movementId;
        return (
          <Box
            component="li"
            key={`${item.itemId} ${item.side}`}
            sx={{ display: "flex", gap: 1.25, alignItems: "flex-start", py: 0.75, borderTop: "1px solid", borderColor: "line" }}
          >
            <SideMark side={item.side} />
            <Box sx={{ minWidth: 0 }}>
              <Typography sx={{ fontWeight: 650, lineHeight: 1.25 }}>
                {movementId && words.movementName(movementId)} · {countText(item, words)}
              </Typography>
              {told.ways && <Typography sx={{ color: "text.secondary", lineHeight: 1.3 }}>{told.ways}</Typography>}
              {told.pace && <Typography sx={{ color: "warm.dark", lineHeight: 1.3 }}>{told.pace}</Typography>}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

const seconds = (words: Words, sec: number): string => words.digits(numberText(sec, 1));

export function countText({ count, due }: Pick<CountedItem, "count" | "due">, words: Words): string {
  return due > 0 ? words.member("countOf", { done: words.digits(count), due: words.digits(due) }) : words.digits(count);
}

/** The seconds of each way, and what of the pace is worth telling; empty where there is nothing. */
export function toldOf({ of, pace, holdsSec, dueSec, short }: CountedItem, words: Words): { ways: string; pace: string } {
  if (!pace) return { ways: "", pace: "" };
  const sec = (value: number) => seconds(words, value);
  if (of === "holds") {
    const held = words.member("countHolds", { holds: holdsSec.map(sec).join(" · ") });
    return {
      ways: dueSec === null ? held : `${held} (${words.member("countAsked", { asked: sec(dueSec) })})`,
      pace: short > 0 ? words.member("countShorter") : "",
    };
  }
  const verdict = dueSec === null || pace.wholeSec === null ? "asAsked" : againstDose(pace.wholeSec, dueSec);
  const notes = [
    verdict !== "asAsked" && words.member(verdict === "quicker" ? "countQuicker" : "countSlower", { is: sec(pace.wholeSec!) }),
    pace.drift && words.member("countDrift", { from: sec(pace.drift.fromSec), to: sec(pace.drift.toSec) }),
  ];
  return {
    ways: words.member("countWays", { out: sec(pace.outSec), back: sec(pace.backSec) }),
    pace: notes.filter(Boolean).join(" · "),
  };
}
