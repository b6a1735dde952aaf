/** All tables, gathered from the subjects they belong to. */
import type { Sequelize } from "sequelize";
import { defineAuditTables } from "../audit/tables";
import { defineAuthTables } from "../auth/tables";
import { defineBaselineTables } from "../baseline/tables";
import { defineCrewTables } from "../crew/tables";
import { defineBookingTables } from "../booking/tables";
import { defineDayplanTables } from "../dayplan/tables";
import { defineFollowupTables } from "../followup/tables";
import { defineJobTables } from "../job/tables";
import { defineLibraryTables } from "../library/tables";
import { defineMemberTables } from "../member/tables";
import { defineContactTables } from "../contact/tables";
import { defineMessageTables } from "../message/tables";
import { definePersonalTables } from "../personal/tables";
import { definePracticeTables } from "../practice/tables";
import { defineProgramTables } from "../program/tables";
import { defineRecordTables } from "../record/tables";
import { defineResponseTables } from "../response/tables";
import { defineRunTables } from "../run/tables";
import { defineSafetyTables } from "../safety/tables";
import { defineTokenTables } from "../token/tables";
import { defineTemplateTables } from "../template/tables";
import { defineWorkTables } from "../work/tables";

export function defineModels(sequelize: Sequelize) {
  return {
    ...definePracticeTables(sequelize),
    ...defineAuthTables(sequelize),
    ...defineCrewTables(sequelize),
    ...defineProgramTables(sequelize),
    ...defineLibraryTables(sequelize),
    ...defineTemplateTables(sequelize),
    ...defineDayplanTables(sequelize),
    ...defineBookingTables(sequelize),
    ...defineRunTables(sequelize),
    ...defineWorkTables(sequelize),
    ...defineBaselineTables(sequelize),
    ...defineSafetyTables(sequelize),
    ...defineAuditTables(sequelize),
    ...defineMemberTables(sequelize),
    ...defineResponseTables(sequelize),
    ...defineRecordTables(sequelize),
    ...defineFollowupTables(sequelize),
    ...defineMessageTables(sequelize),
    ...defineContactTables(sequelize),
    ...defineJobTables(sequelize),
    ...definePersonalTables(sequelize),
    ...defineTokenTables(sequelize),
  };
}

export type Models = ReturnType<typeof defineModels>;
