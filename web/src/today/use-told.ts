/** How many people stopped and told, wherever a trainer is: nobody has to be looking at Today. */
import { useEffect, useState } from "react";
import { todayApi } from "./api";

const EVERY_MS = 30_000;
/** The page that was gone to comes first. */
const AFTER_MS = 1500;

/** @param asks whoever answers: a trainer */
export function useTold(asks: boolean): number {
  const [rested, setRested] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setRested(true), AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  const { told } = todayApi.useTodayQuery(undefined, {
    skip: !asks || !rested,
    pollingInterval: EVERY_MS,
    selectFromResult: ({ data }) => ({ told: data?.alerts.length ?? 0 }),
  });
  return told;
}
