/** What of a program does not fit the crew it is brought to, as a list to answer: another movement, left out, or kept as it is. */
import { Box, Typography } from "@mui/material";
import { suggestedAnswer, type FitAnswer, type Unfitting } from "@kind-grip/core/template";
import { useWords } from "../base/library";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { needsText } from "../program/needs-text";

interface FitAnswersProps {
  unfitting: readonly Unfitting[];
  answers: ReadonlyMap<string, FitAnswer>;
  onAnswer(answers: ReadonlyMap<string, FitAnswer>): void;
}

const KEEP = "keep";
const LEAVE_OUT = "leaveOut";
const valueOf = (answer: FitAnswer) => (answer.kind === "instead" ? answer.movementId : answer.kind);

/** What is done with each; where nothing was said, what is suggested. */
export function answersFor(unfitting: readonly Unfitting[], said: ReadonlyMap<string, FitAnswer>): Map<string, FitAnswer> {
  return new Map(unfitting.map((each) => [each.itemId, said.get(each.itemId) ?? suggestedAnswer(each)]));
}

export function FitAnswers({ unfitting, answers, onAnswer }: FitAnswersProps) {
  const words = useWords();
  if (unfitting.length === 0) return <Typography>{t("Everything in it can be done there.")}</Typography>;
  const answerOf = (value: string): FitAnswer =>
    value === KEEP ? { kind: "keep" } : value === LEAVE_OUT ? { kind: "leaveOut" } : { kind: "instead", movementId: value };
  return (
    <Box component="section" aria-labelledby="does-not-fit">
      <Typography id="does-not-fit" sx={{ fontWeight: 700, fontSize: "1.1rem" }}>
        {t("{{count}} items cannot be done there", { count: unfitting.length, defaultValue_one: "{{count}} item cannot be done there" })}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {unfitting.map((each) => {
          const name = words.movementName(each.movementId);
          const options = [
            ...each.instead.map((id) => ({ value: id, label: words.movementName(id) })),
            { value: LEAVE_OUT, label: t("Leave out") },
            { value: KEEP, label: t("Keep it anyway") },
          ];
          return (
            <Box component="li" key={each.itemId} sx={{ py: 1, borderBottom: "1px solid", borderColor: "line" }}>
              <Typography sx={{ mb: 0.5 }}>
                <strong>{name}</strong> · {each.misfits.map((misfit) => needsText(words, misfit)).join(" · ")}
              </Typography>
              <Choice
                label={t("Instead of {{name}}", { name })}
                value={valueOf(answers.get(each.itemId) ?? suggestedAnswer(each))}
                options={options}
                onChange={(value) => onAnswer(new Map([...answers, [each.itemId, answerOf(value)]]))}
              />
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
