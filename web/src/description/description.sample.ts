/** A description as the server makes one, with a call of each kind. */
import type { Description } from "./operations";

export const sampleDescription = (): Description => ({
  paths: {
    "/api/sign-out": {
      post: {
        operationId: "signOut",
        tags: ["auth"],
        summary: "Sign out",
        description: "Needs no sign-in.",
        security: [],
        parameters: [],
        responses: { 204: { description: "Done" } },
      },
    },
    "/api/crews": {
      get: {
        operationId: "crews",
        tags: ["crew"],
        summary: "Crews of the trainer",
        description: "For: trainer. With an API token for crews.read.",
        security: [{ session: [] }, { token: ["crews.read"] }],
        parameters: [],
        responses: {
          200: {
            description: "Done",
            content: { "application/json": { schema: { type: "array", items: { $ref: "#/components/schemas/Crew" } } } },
          },
          401: { $ref: "#/components/responses/Refusal401" },
        },
      },
      post: {
        operationId: "createCrew",
        tags: ["crew"],
        summary: "Make a crew",
        description: "For: trainer.",
        security: [{ session: [] }],
        parameters: [{ $ref: "#/components/parameters/csrfToken" }],
        requestBody: { content: { "application/json": { schema: { $ref: "#/components/schemas/Crew" } } } },
        responses: { 204: { description: "Done" } },
      },
    },
    "/api/crews/{crewId}/report.pdf": {
      get: {
        operationId: "reportPaper",
        tags: ["report"],
        summary: "The report on paper",
        description: "For: trainer, employer.",
        security: [{ session: [] }, { token: [] }],
        parameters: [
          { name: "crewId", in: "path", required: true, schema: { type: "string", format: "uuid" } },
          { name: "block", in: "query", schema: { type: "integer", minimum: 1 } },
        ],
        responses: { 200: { description: "The file", content: { "application/pdf": { schema: { type: "string" } } } } },
      },
    },
  },
  components: {
    schemas: {
      Crew: {
        type: "object",
        properties: {
          name: { type: "string", minLength: 1, maxLength: 80 },
          shift: { anyOf: [{ $ref: "#/components/schemas/Shift" }, { type: "null" }] },
          place: {
            oneOf: [
              { type: "object", properties: { bench: { type: "number" } } },
              { type: "object", properties: { yard: { const: true } } },
            ],
          },
        },
        required: ["name"],
      },
      Shift: { type: "array", items: { type: "object", properties: { startsMin: { type: "integer", minimum: 0, maximum: 1439 } } } },
    },
    responses: { Refusal401: { description: "Not signed in" } },
  },
});
