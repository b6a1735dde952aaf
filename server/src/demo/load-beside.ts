/** Loads the demo practice into the database of DATABASE_URL, in a process of its own: it takes a while. Prints what the booking calendar begins with. */
import { DataKeys } from "../db/data-keys";
import { connect } from "../db/connection";
import { seedDemo } from "./load";

const db = connect(process.env.DATABASE_URL!, DataKeys.read(process.env.DATA_KEYS!));
process.stdout.write(JSON.stringify(await seedDemo(db)));
await db.sequelize.close();
