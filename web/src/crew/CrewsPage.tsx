/** All crews of the trainer. */
import { Box, Button, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { Link } from "react-router";
import { peopleText } from "../base/amounts";
import { t } from "../base/words";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { Invitations } from "./Invitations";
import { crewApi } from "./api";

export default function CrewsPage() {
  const query = crewApi.useCrewsQuery();
  return (
    <>
      <PageTitle title={t("Crews")}>
        <Button component={Link} to="/crews/new" variant="contained" startIcon={<Plus size={20} />}>
          {t("Make a crew")}
        </Button>
      </PageTitle>
      <Invitations />
      <Loaded query={query}>
        {(crews) =>
          crews.length === 0 ? (
            <Empty
              title={t("No crews yet")}
              text={t("A crew is a group that works the same shifts in the same place. Make one, then bring its people in from a list.")}
            />
          ) : (
            <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
              {crews.map((crew) => (
                <Box component="li" key={crew.id} sx={{ borderTop: "2px solid", borderColor: "line" }}>
                  <Box
                    component={Link}
                    to={`/crews/${crew.id}/${crew.people === 0 ? "people" : crew.programs === 0 ? "program" : "day-plan"}`}
                    sx={{
                      display: "grid",
                      gridTemplateColumns: { xs: "1fr", md: "72px 1.4fr 1fr 1fr" },
                      alignItems: "center",
                      columnGap: 3,
                      py: 2.25,
                      color: "inherit",
                      textDecoration: "none",
                      "&:hover h2": { textDecoration: "underline" },
                    }}
                  >
                    <Typography
                      sx={{ fontSize: "2.4rem", fontWeight: 750, lineHeight: 1, color: "primary.main" }}
                      aria-label={peopleText(crew.people)}
                    >
                      {crew.people}
                    </Typography>
                    <Box>
                      <Typography variant="h2">{crew.name}</Typography>
                      <Typography sx={{ color: "text.secondary" }}>
                        {crew.sharedBy === null
                          ? crew.trade
                          : t("{{trade}} · shared by {{name}}", { trade: crew.trade, name: crew.sharedBy })}
                      </Typography>
                    </Box>
                    <Typography sx={{ color: "text.secondary" }}>{crew.place}</Typography>
                    <Typography>
                      {crew.people === 0
                        ? t("Next: bring in the people")
                        : crew.programs === 0
                          ? t("Next: make a program")
                          : t("{{count}} programs", { count: crew.programs, defaultValue_one: "{{count}} program" })}
                    </Typography>
                  </Box>
                </Box>
              ))}
            </Box>
          )
        }
      </Loaded>
    </>
  );
}
