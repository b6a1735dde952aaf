/** The templates of the practice. */
import { NewTemplate, TemplateEntry } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import type { Routes } from "../http/route";
import { keepTemplate, listTemplates, setTemplateRemoved } from "./templates";

const TemplateParams = v.object({ templateId: Id });

export function addTemplateRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    id: "templates",
    method: "get",
    scope: "programs.read",
    path: "/api/templates",
    summary: "The templates the practice keeps, by name",
    answer: v.array(TemplateEntry),
    handle: ({ caller }) => listTemplates(db, caller),
  });
  routes.add({
    id: "keepTemplate",
    method: "post",
    path: "/api/templates",
    summary: "Keep a program or some of its sessions as a template; people are left out",
    answer: TemplateEntry,
    body: NewTemplate,
    bodyLimit: "1mb",
    handle: ({ caller, body }) => keepTemplate(db, caller, body),
  });
  routes.add({
    id: "removeTemplate",
    method: "delete",
    path: "/api/templates/:templateId",
    summary: "Take a template out",
    params: TemplateParams,
    handle: ({ caller, params }) => setTemplateRemoved(db, caller, params.templateId, true),
  });
  routes.add({
    id: "restoreTemplate",
    method: "post",
    path: "/api/templates/:templateId/restore",
    summary: "Bring a template back",
    params: TemplateParams,
    handle: ({ caller, params }) => setTemplateRemoved(db, caller, params.templateId, false),
  });
}
