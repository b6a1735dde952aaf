import { Button } from "@mui/material";
import type { ReactNode } from "react";
import { t } from "../base/words";
import { problemOf } from "../base/api";
import { Empty } from "./Empty";
import { Loading } from "./Loading";

interface Query<T> {
  /** The answer to what is asked now. */
  currentData?: T;
  /** The latest answer, which may be to what was asked before: another crew, another week. */
  data?: T;
  error?: unknown;
  refetch(): unknown;
}

/**
 * Waits for an answer of the server; says what is wrong when there is none, with a way to try again.
 * @param keepShown while another page or span of the same thing is asked for, what was there stays
 */
export function Loaded<T>({
  query,
  keepShown = false,
  children,
}: {
  query: Query<T>;
  keepShown?: boolean;
  children: (data: T) => ReactNode;
}) {
  const data = keepShown ? query.data : query.currentData;
  if (data !== undefined) return children(data);
  if (!query.error) return <Loading />;
  const problem = problemOf(query.error);
  return (
    <Empty title={problem.message}>
      {problem.code !== "notFound" && (
        <Button variant="outlined" onClick={() => void query.refetch()}>
          {t("Try again")}
        </Button>
      )}
    </Empty>
  );
}
