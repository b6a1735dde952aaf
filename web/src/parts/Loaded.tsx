import { Button } from "@mui/material";
import type { ReactNode } from "react";
import { problemOf } from "../app/api";
import { Empty } from "./Empty";
import { Loading } from "./Loading";

interface Query<T> {
  data?: T;
  error?: unknown;
  refetch(): unknown;
}

/** Waits for an answer of the server; says what is wrong when there is none, with a way to try again. */
export function Loaded<T>({ query, children }: { query: Query<T>; children: (data: T) => ReactNode }) {
  if (query.data !== undefined) return children(query.data);
  if (!query.error) return <Loading />;
  const problem = problemOf(query.error);
  return (
    <Empty title={problem.message}>
      {problem.code !== "notFound" && (
        <Button variant="outlined" onClick={() => void query.refetch()}>
          Try again
        </Button>
      )}
    </Empty>
  );
}
