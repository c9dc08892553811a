// Migrates the database named on the command line, for a test that cuts it off.
import { Sequelize } from "sequelize";
import { migrate } from "../migrate";

const sequelize = new Sequelize(process.argv[2]!, { dialect: "postgres", logging: false });
await sequelize.authenticate();
process.send?.("begins");
await migrate(sequelize);
await sequelize.close();
