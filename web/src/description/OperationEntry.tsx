/** One call: what it does, in a line; opened, who may call it, what it takes and what it answers. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { useState, type ReactNode } from "react";
import { t } from "../base/words";
import type { Operation } from "./operations";
import { Shape } from "./Shape";
import { typeText } from "./type-text";

export function OperationEntry({ operation }: { operation: Operation }) {
  const [open, setOpen] = useState(false);
  const { id, method, path, summary, scope } = operation;
  return (
    <Box component="li" sx={{ borderTop: "1px solid", borderColor: "line" }}>
      <ButtonBase
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{
          width: "100%",
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.1fr) minmax(0, 1fr) 9em" },
          columnGap: 2,
          py: 1,
          textAlign: "start",
          alignItems: "baseline",
          fontSize: "1rem",
        }}
      >
        <Box component="code" sx={{ overflowWrap: "anywhere" }}>
          <Box component="b" sx={{ color: method === "GET" ? "text.secondary" : "warm.dark" }}>
            {method}
          </Box>{" "}
          {path}
        </Box>
        <span>{summary}</span>
        <Box component="span" sx={{ color: "text.secondary" }}>
          {scope === undefined ? t("no token") : scope === "" ? t("every token") : scope}
        </Box>
      </ButtonBase>
      {open && (
        <Box sx={{ pb: 2, pl: { md: 2 }, display: "grid", gap: 1.5 }}>
          <Typography sx={{ color: "text.secondary" }}>
            {operation.whoMay} <code>{id}</code>
          </Typography>
          {operation.parameters.length > 0 && (
            <Part title={t("In the address")}>
              <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
                {operation.parameters.map((parameter) => (
                  <li key={parameter.name}>
                    <Box component="code" sx={{ fontWeight: 650, mr: 1 }}>
                      {parameter.name}
                    </Box>
                    <Box component="span" sx={{ color: "text.secondary" }}>
                      {parameter.required
                        ? typeText(parameter.schema)
                        : t("{{type}}, may be left out", { type: typeText(parameter.schema) })}
                    </Box>
                  </li>
                ))}
              </Box>
            </Part>
          )}
          {operation.sent && (
            <Part title={t("Sent: {{what}}", { what: typeText(operation.sent) })}>
              <Shape schema={operation.sent} />
            </Part>
          )}
          <Part title={answerText(operation.answer)}>{operation.answer.schema && <Shape schema={operation.answer.schema} />}</Part>
          <Part title={t("Refused")}>
            <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, color: "text.secondary" }}>
              {operation.refusals.map(({ status, text }) => (
                <li key={status}>
                  <b>{status}</b> {text}
                </li>
              ))}
            </Box>
          </Part>
        </Box>
      )}
    </Box>
  );
}

function answerText({ status, kind, schema }: Operation["answer"]): string {
  if (schema) return t("Answered, {{status}}: {{what}}", { status, what: typeText(schema) });
  return kind === "" ? t("Answered, {{status}}, with nothing", { status }) : t("Answered, {{status}}: a file, {{kind}}", { status, kind });
}

function Part({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Box>
      <Typography variant="h3" sx={{ overflowWrap: "anywhere" }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
