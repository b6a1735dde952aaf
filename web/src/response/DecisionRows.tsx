/** What waits for one person: an item is a row; several of the same kind are one row, taken together or one by one. */
import { Box, Button, Typography } from "@mui/material";
import { Fragment, useState, type ReactNode } from "react";
import type { WaitingDecision } from "@kind-grip/core/api";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { PictureButton } from "../library/PictureButton";
import { EvidenceChart } from "./EvidenceChart";
import { changeText, comesText, firedText } from "./response-text";

interface DecisionRowsProps {
  /** Of one person and one kind, at least one. */
  own: readonly WaitingDecision[];
  /** Sessions that would no longer fit their slot after these. */
  overrunsOf(list: readonly WaitingDecision[]): string[];
  busy: boolean;
  onConfirm?: (some: readonly WaitingDecision[]) => void;
  onOther(some: readonly WaitingDecision[]): void;
}

const COLUMNS = { xs: "1fr", md: "72px minmax(0, 1fr) 190px 250px" };

export function DecisionRows(props: DecisionRowsProps) {
  const { own } = props;
  const [open, setOpen] = useState(false);
  const words = useWords();
  if (own.length === 1) return <ItemRow {...props} each={own[0]!} />;
  const [first] = own as [WaitingDecision, ...WaitingDecision[]];
  const name = t("{{name}}, {{own}} movements", { name: first.name, own: own.length });
  const changes = own.map(({ response, movementId }) => ({
    movement: words.movementName(movementId),
    comes: response.kind === "pauseAndRefer" ? "" : comesText(response, movementId, words),
    told: changeText(response, movementId, words),
  }));
  const listed = changes.filter(({ comes }) => comes !== "");
  const others = changes.filter(({ comes }) => comes === "");
  return (
    <>
      <Box component="article" aria-label={name} sx={ROW}>
        <Typography sx={{ width: 72, fontSize: "1.9rem", fontWeight: 650, textAlign: "center", lineHeight: 1 }} aria-hidden>
          {own.length}
        </Typography>
        <Box>
          <Typography sx={{ fontSize: "1.1rem" }}>
            <strong>{first.name}</strong>
            {others.length > 0 && ` · ${others.map(({ movement }) => movement).join(", ")}`}
          </Typography>
          <Told lines={own.flatMap(({ response }) => response.fired.map(firedText))} />
          <Told lines={others.map(({ told }) => told)} strong />
          {listed.length > 0 && (
            <Box component="dl" aria-label={t("Next")} sx={NEXT}>
              {listed.map(({ movement, comes }, i) => (
                <Fragment key={i}>
                  <dt>{movement}</dt>
                  <Box component="dd" sx={{ m: 0, fontWeight: 650 }}>
                    {comes}
                  </Box>
                </Fragment>
              ))}
            </Box>
          )}
          <Told lines={props.overrunsOf(own).map((text) => `${text}.`)} warm />
        </Box>
        <EvidenceChart runs={first.runs} mornings={first.mornings} usualLevel={first.usualLevel} />
        <Actions {...props} some={own} name={name}>
          <Button aria-expanded={open} onClick={() => setOpen(!open)} aria-label={t("One by one: {{name}}", { name })}>
            {open ? t("Together") : t("One by one")}
          </Button>
        </Actions>
      </Box>
      {open && (
        <Box sx={{ pl: { md: 4 }, borderLeft: "4px solid", borderColor: "line" }}>
          {own.map((each) => (
            <ItemRow key={each.itemId} {...props} each={each} />
          ))}
        </Box>
      )}
    </>
  );
}

/** Each movement beside what comes of it; on a narrow page above it. */
const NEXT = {
  m: 0,
  mt: 0.5,
  display: "grid",
  gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "max-content minmax(0, 1fr)" },
  columnGap: 2,
  lineHeight: 1.35,
} as const;

const ROW = {
  display: "grid",
  gridTemplateColumns: COLUMNS,
  columnGap: 2.5,
  rowGap: 1,
  alignItems: "center",
  py: 1.25,
  borderBottom: "1px solid",
  borderColor: "line",
} as const;

function ItemRow({ each, overrunsOf, ...props }: DecisionRowsProps & { each: WaitingDecision }) {
  const words = useWords();
  const { movementId, was, response } = each;
  const movement = words.movementName(movementId);
  const name = `${each.name}, ${movement}`;
  return (
    <Box component="article" aria-label={name} sx={ROW}>
      <Box sx={{ width: 72 }}>
        <PictureButton movementId={movementId} formId={was.formId} />
      </Box>
      <Box>
        <Typography sx={{ fontSize: "1.1rem" }}>
          <strong>{each.name}</strong> · {movement}
          <Box component="span" sx={{ color: "text.secondary" }}>
            {" "}
            {words.formName(movementId, was.formId).toLowerCase()}
            {was.loadKg !== null && `, ${words.load(was)}`}
          </Box>
        </Typography>
        <Told lines={response.fired.map(firedText)} />
        <Told lines={[changeText(response, movementId, words)]} strong />
        <Told lines={overrunsOf([each]).map((text) => `${text}.`)} warm />
      </Box>
      <EvidenceChart runs={each.runs} mornings={each.mornings} usualLevel={each.usualLevel} />
      <Actions {...props} some={[each]} name={name} />
    </Box>
  );
}

/** Sentences, each once. */
function Told({ lines, strong, warm }: { lines: readonly string[]; strong?: boolean; warm?: boolean }) {
  return [...new Set(lines.filter(Boolean))].map((line) => (
    <Typography
      key={line}
      sx={{
        lineHeight: 1.35,
        fontWeight: strong ? 650 : undefined,
        color: warm ? "warm.dark" : strong ? "text.primary" : "text.secondary",
      }}
    >
      {line}
    </Typography>
  ));
}

interface ActionsProps extends Pick<DecisionRowsProps, "busy" | "onConfirm" | "onOther"> {
  some: readonly WaitingDecision[];
  name: string;
  children?: ReactNode;
}

function Actions({ some, name, busy, onConfirm, onOther, children }: ActionsProps) {
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", justifyContent: { md: "flex-end" } }}>
      {onConfirm && (
        <Button variant="contained" disabled={busy} onClick={() => onConfirm(some)} aria-label={t("Confirm: {{name}}", { name })}>
          {t("Confirm")}
        </Button>
      )}
      <Button variant="outlined" onClick={() => onOther(some)} aria-label={t("Decide otherwise: {{name}}", { name })}>
        {t("Otherwise")}
      </Button>
      {children}
    </Box>
  );
}
