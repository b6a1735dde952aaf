/** What other programs can call, found and read; the same description is at /api/openapi.json for machines. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { ArrowLeft, Download, KeyRound } from "lucide-react";
import { useDeferredValue, useMemo, useState } from "react";
import { Link } from "react-router";
import { SCOPES } from "@kind-grip/core/api";
import { t } from "../base/words";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { descriptionApi } from "./api";
import { OperationEntry } from "./OperationEntry";
import { found, operationsOf, type Description } from "./operations";
import { ShapesContext } from "./Shape";

export default function DescriptionPage() {
  const query = descriptionApi.useDescriptionQuery();
  return (
    <>
      <PageTitle
        title={t("What can be called")}
        lead={t(
          "Each call of this server: what it takes and what it answers. A program sends its token with each, as “Authorization: Bearer kg_…”.",
        )}
      >
        <Button component={Link} to="/practice" startIcon={<ArrowLeft size={20} />}>
          {t("Practice")}
        </Button>
        <Button component={Link} to="/practice/tokens" startIcon={<KeyRound size={20} />}>
          {t("Tokens")}
        </Button>
        <Button href="/api/openapi.json" download="kind-grip-openapi.json" startIcon={<Download size={20} />}>
          {t("OpenAPI 3.1 (JSON)")}
        </Button>
      </PageTitle>
      <Loaded query={query}>{(description) => <Operations description={description} />}</Loaded>
    </>
  );
}

const ALL = "all";

function Operations({ description }: { description: Description }) {
  const [words, setWords] = useState("");
  const [scope, setScope] = useState(ALL);
  const operations = useMemo(() => operationsOf(description), [description]);
  const wanted = useDeferredValue(words);
  const shown = useMemo(() => found(operations, wanted, scope === ALL ? undefined : scope), [operations, wanted, scope]);
  // What a program can call comes first: whoever reads this writes one.
  const isCalled = (subject: string) => shown.some((each) => each.subject === subject && each.scope !== undefined);
  const named = [...new Set(shown.map(({ subject }) => subject))];
  const subjects = [...named.filter(isCalled), ...named.filter((each) => !isCalled(each))];
  return (
    <ShapesContext value={description.components.schemas}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mb: 1, "@media print": { display: "none" } }}>
        <TextField
          label={t("Find a call")}
          type="search"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          sx={{ flex: 1, minWidth: 220, maxWidth: 420 }}
        />
        <TextField
          select
          label={t("With a token for")}
          value={scope}
          onChange={(event) => setScope(event.target.value)}
          sx={{ flex: 1, minWidth: 220, maxWidth: 260 }}
        >
          <MenuItem value={ALL}>{t("anything, or none")}</MenuItem>
          {SCOPES.map((each) => (
            <MenuItem key={each} value={each}>
              {each}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Typography role="status" sx={{ color: "text.secondary", mb: 1 }}>
        {t("{{count}} calls", { count: shown.length, defaultValue_one: "{{count}} call" })}
      </Typography>
      {shown.length === 0 && <Empty title={t("Nothing like it")} text={t("Try another word, or fewer letters of it.")} />}
      {subjects.map((subject) => (
        <Box key={subject} component="section" aria-label={subject} sx={{ mb: 3 }}>
          <Typography variant="h2" sx={{ "&::first-letter": { textTransform: "uppercase" } }}>
            {subject}
          </Typography>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {shown
              .filter((each) => each.subject === subject)
              .map((operation) => (
                <OperationEntry key={operation.id} operation={operation} />
              ))}
          </Box>
        </Box>
      ))}
    </ShapesContext>
  );
}
