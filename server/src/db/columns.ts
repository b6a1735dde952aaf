/** Kinds of columns, and of tables. */
import { DataTypes, type Model, type ModelStatic } from "sequelize";

export type Table<Row extends object> = ModelStatic<Model<Row, Row>>;

export const id = { type: DataTypes.UUID, primaryKey: true };
/** A part of a key of several columns. */
export const idPart = { ...id };
/** A SHA-256 in hexadecimal digits, or another secret of up to 64 letters. */
export const hashPart = { type: DataTypes.STRING(64), primaryKey: true };
/** A short word as a part of a key. */
export const shortPart = { type: DataTypes.STRING(16), primaryKey: true };
export const hashText = DataTypes.STRING(64);
/** A name as a part of a key. */
export const textPart = { type: DataTypes.STRING(160), primaryKey: true };
export const dayPart = { type: DataTypes.DATEONLY, primaryKey: true };
export const wholePart = { type: DataTypes.INTEGER, primaryKey: true };
/** Counted by the database: nothing is ordered by it. */
export const counted = { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true };
export const uuid = DataTypes.UUID;
export const text = DataTypes.STRING(160);
export const longText = DataTypes.STRING(600);
export const moment = DataTypes.DATE(3);
export const day = DataTypes.DATEONLY;
export const whole = DataTypes.INTEGER;
export const real = DataTypes.DOUBLE;
export const flag = DataTypes.BOOLEAN;
export const json = DataTypes.JSON;
