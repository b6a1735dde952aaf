/** A plain table with ruled rows; the first cell of a row names it. */
import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { LIST_WHEN_NARROW } from "./narrow-table";

interface TableProps {
  caption?: string;
  head: readonly string[];
  rows: readonly { key: string; cells: readonly ReactNode[] }[];
}

export function Table({ caption, head, rows }: TableProps) {
  return (
    <Box sx={{ overflowX: "auto", mt: 3 }}>
      <Box
        component="table"
        sx={{
          width: "100%",
          maxWidth: 1180,
          borderCollapse: "collapse",
          "& th, & td": { textAlign: "left", verticalAlign: "top", py: 0.75, pr: 2.5, borderTop: "1px solid", borderColor: "line" },
          "& thead th": { border: 0, color: "text.secondary", fontWeight: 600 },
          ...LIST_WHEN_NARROW,
        }}
      >
        {caption && (
          <Typography component="caption" variant="h3" sx={{ textAlign: "left", color: "text.primary", pb: 0.5 }}>
            {caption}
          </Typography>
        )}
        <thead>
          <tr>
            {head.map((name) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, cells: [first, ...rest] }) => (
            <tr key={key}>
              <th scope="row">{first}</th>
              {rest.map((cell, i) => (
                <td key={i} data-head={head[i + 1]}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
