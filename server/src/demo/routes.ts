/** The demo practice, a click away from an empty one: loaded when it is first asked for, a practice of its own. */
import { DemoState, Me } from "@kind-grip/core/api";
import { openSession, whoIs } from "../auth/who-is";
import type { AppContext } from "../context";
import { Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { DEMO_SIGN_INS } from "./load";

/** @param load beside what is there; undefined where the demo may not be */
export function addDemoRoutes(routes: Routes, { db, now }: AppContext, load: (() => Promise<void>) | undefined): void {
  let loading: Promise<void> | undefined;
  let failed = false;
  const guide = async () => (await db.models.Account.findOne({ where: { email: DEMO_SIGN_INS[0].email } }))?.get({ plain: true });
  const state = async (): Promise<DemoState> => {
    if (loading) return { state: "loading" };
    if (await guide()) return { state: load ? "ready" : "off" };
    return { state: !load ? "off" : failed ? "failed" : "none" };
  };
  routes.add({
    id: "demoState",
    method: "get",
    path: "/api/demo",
    summary: "Whether there is a demo practice to look around in",
    answer: DemoState,
    handle: state,
  });
  routes.add({
    id: "loadDemo",
    method: "post",
    path: "/api/demo",
    summary: "Load the demo practice, beside one's own",
    answer: DemoState,
    async handle() {
      if (load && !loading && !(await guide())) {
        failed = false;
        loading = load()
          .then(
            async () => void (failed = !(await guide())),
            () => void (failed = true),
          )
          .finally(() => (loading = undefined));
      }
      return state();
    },
  });
  routes.add({
    id: "openDemo",
    method: "post",
    path: "/api/demo/open",
    summary: "Go on as a trainer of the demo practice; signing out leads back",
    answer: Me,
    async handle({ request, response }) {
      const trainer = load && !loading ? await guide() : undefined;
      if (!trainer) throw new Problem(409, "noDemo", "The demo practice is not there.");
      await openSession(db, trainer, "looked around in the demo", { request, response, at: new Date() });
      return whoIs(db, now, request);
    },
  });
}
