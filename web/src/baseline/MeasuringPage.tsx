/** How sure the practice's own measuring is: the same people measured twice, and what differences are held against since. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { Link } from "react-router";
import { v7 as uuid } from "uuid";
import type { MeasuringEntry } from "@kind-grip/core/api";
import { DAYS_BETWEEN, LEAST_PEOPLE, MEASURES } from "@kind-grip/core/baseline";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { peopleText } from "../base/amounts";
import { t } from "../base/words";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { baselineApi } from "./api";
import { StudiedMeasureRow } from "./StudiedMeasureRow";

export default function MeasuringPage() {
  const measuring = baselineApi.useMeasuringQuery(undefined, { refetchOnMountOrArgChange: true });
  return <Loaded query={measuring}>{(entry) => <Measuring entry={entry} />}</Loaded>;
}

function Measuring({ entry }: { entry: MeasuringEntry }) {
  const { found, sittings, used } = entry;
  return (
    <>
      <PageTitle
        title={t("Noise of your measuring")}
        lead={t(
          "The same people measured again some days later, with nothing changed in between: what still differs is the measuring. A change of a person counts when it is more than that.",
        )}
      />
      {sittings.length === 0 ? (
        <Empty
          title={t("Nobody is measured twice yet")}
          text={t(
            "Measure {{people}} people or more of a round again after {{least}} to {{most}} days, by the same trainers, without looking at the first figures. Until then the usual rules hold.",
            { people: LEAST_PEOPLE, least: DAYS_BETWEEN.least, most: DAYS_BETWEEN.most },
          )}
        >
          <Button component={Link} to="/crews" variant="contained">
            {t("To the crews")}
          </Button>
        </Empty>
      ) : (
        <>
          <Held entry={entry} />
          <Typography sx={{ color: "text.secondary", mt: 2 }}>
            {t(
              "Each mark is one hand: left hollow, right filled, as far from the middle as its second reading was from its first. Band: too close to tell apart by your own noise. Dashed: by the usual rule.",
            )}
          </Typography>
          <Box component="ul" aria-label={t("What was found")} sx={{ listStyle: "none", m: 0, mt: 1.5, p: 0 }}>
            {MEASURES.map((measure) => (
              <StudiedMeasureRow
                key={measure}
                measure={measure}
                studied={found.find((each) => each.measure === measure)}
                used={used[measure]}
              />
            ))}
          </Box>
          <Sittings sittings={sittings} />
        </>
      )}
    </>
  );
}

/** What holds now, and the way to the other. */
function Held({ entry: { used, chosen, found } }: { entry: MeasuringEntry }) {
  const [choose, { isLoading }] = baselineApi.useChooseNoiseMutation();
  const dispatch = useAppDispatch();
  const [latest] = chosen;
  const isOwn = latest?.own ?? false;
  const ready = found.filter(({ own }) => own);
  // More people, or a measure more, since it was chosen.
  const isNews = ready.some(({ measure, own }) => used[measure]?.people !== own!.people || used[measure]?.lastOn !== own!.lastOn);
  const press = async (own: boolean) => {
    const answer = await choose({ id: uuid(), own });
    dispatch(
      notify({
        text: answer.error
          ? problemOf(answer.error).message
          : own
            ? t("From now on differences are held against your own noise.")
            : t("From now on differences are held against the usual rules."),
      }),
    );
  };
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 3, rowGap: 1, alignItems: "center" }}>
      <Typography sx={{ fontSize: "1.2rem", flex: "1 1 320px", maxWidth: 620 }}>
        <strong>{isOwn ? t("Your own noise holds.") : t("The usual rules hold.")}</strong>{" "}
        {latest
          ? t("Since {{date}}, by {{name}}.", { date: dateText(DateTime.fromISO(latest.on), "d LLLL yyyy"), name: latest.by })
          : ready.length === 0
            ? t("From {{people}} people measured twice on, your own can take their place.", { people: LEAST_PEOPLE })
            : null}
      </Typography>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", "@media print": { display: "none" } }}>
        {ready.length > 0 && (!isOwn || isNews) && (
          <Button variant="contained" disabled={isLoading} onClick={() => void press(true)}>
            {isOwn
              ? t("Use the newer figures")
              : t("Use your own for {{count}} measures", { count: ready.length, defaultValue_one: "Use your own for 1 measure" })}
          </Button>
        )}
        {isOwn && (
          <Button variant="outlined" disabled={isLoading} onClick={() => void press(false)}>
            {t("Back to the usual rules")}
          </Button>
        )}
      </Box>
    </Box>
  );
}

function Sittings({ sittings }: { sittings: MeasuringEntry["sittings"] }) {
  const day = (iso: string) => dateText(DateTime.fromISO(iso), "d LLLL yyyy");
  return (
    <Box component="section" aria-label={t("Sittings")} sx={{ mt: 4 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {t("From these sittings")}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {sittings.map(({ roundId, crew, first, second, people, isApart }) => (
          <Box component="li" key={roundId} sx={{ py: 1, borderTop: "1px solid", borderColor: "line" }}>
            {crew ? (
              <TextLink component={Link} to={`/crews/${crew.id}/baseline/${roundId}`}>
                {crew.name}
              </TextLink>
            ) : (
              t("A crew of a colleague")
            )}
            {": "}
            {t("{{first}}, {{firstOn}}, and {{second}}, {{secondOn}}", {
              first: first.name,
              firstOn: day(first.on),
              second: second.name,
              secondOn: day(second.on),
            })}
            {" · "}
            <strong>{peopleText(people)}</strong>
            {!isApart && (
              <Typography sx={{ color: "warm.dark", fontWeight: 650 }}>
                {t("Not {{least}} to {{most}} days apart: it does not count.", { least: DAYS_BETWEEN.least, most: DAYS_BETWEEN.most })}
              </Typography>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
