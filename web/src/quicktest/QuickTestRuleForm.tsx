/** What a crew is asked before and after its runs. */
import { Alert, Box, Typography } from "@mui/material";
import { QUICK_TESTS_OF_CREW } from "@kind-grip/core/quicktest";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { quickTestApi } from "./api";
import { QUICK_TEST_HOW, QUICK_TEST_NAMES } from "./words";

export function QuickTestRuleForm({ crewId }: { crewId: string }) {
  const { data } = quickTestApi.useQuickTestRuleQuery(crewId);
  const [change, { error }] = quickTestApi.useChangeQuickTestRuleMutation();
  if (!data) return null;
  return (
    <Box
      component="section"
      aria-label={t("Before and after runs")}
      sx={{ mt: 5, maxWidth: 920, display: "grid", gap: 1, justifyItems: "start" }}
    >
      <Typography variant="h2">{t("Before and after runs")}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "One quick test before a run and after it, under 20 seconds a person, never a must. Over weeks it tells whether the program makes the difference that is felt, and says so when it does not. On their own phone people may choose another, or none.",
        )}
      </Typography>
      <Choice
        label={t("Before and after runs")}
        value={data.test ?? "none"}
        onChange={(value) => void change({ crewId, test: QUICK_TESTS_OF_CREW.find((test) => test === value) ?? null })}
        options={[
          { value: "none", label: t("Nothing") },
          ...QUICK_TESTS_OF_CREW.map((test) => ({ value: test, label: QUICK_TEST_NAMES[test] })),
        ]}
      />
      {data.test && <Typography>{QUICK_TEST_HOW[data.test]}</Typography>}
      {error && (
        <Alert severity="error" variant="outlined">
          {problemOf(error).message}
        </Alert>
      )}
    </Box>
  );
}
