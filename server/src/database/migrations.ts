import { DataTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';

interface Migration {
  readonly name: string;
  readonly up: (tables: QueryInterface) => Promise<void>;
}

/** Steps of the database's shape, oldest first. A step that has shipped is never changed. */
const MIGRATIONS: readonly Migration[] = [
  {
    name: '001-shots',
    up: async (tables) => {
      await tables.createTable('shots', {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        revision: { type: DataTypes.INTEGER, allowNull: false },
        document: { type: DataTypes.TEXT, allowNull: false },
        name: { type: DataTypes.STRING, allowNull: false },
        film: { type: DataTypes.STRING, allowNull: false },
        lengthFrames: { type: DataTypes.INTEGER, allowNull: false },
        rate: { type: DataTypes.DOUBLE, allowNull: false },
        card: { type: DataTypes.TEXT, allowNull: false },
        createdAt: { type: DataTypes.DATE, allowNull: false },
        updatedAt: { type: DataTypes.DATE, allowNull: false },
        removedAt: { type: DataTypes.DATE, allowNull: true },
      });
      await tables.addIndex('shots', ['removedAt', 'updatedAt']);
    },
  },
  {
    name: '002-pictures',
    up: async (tables) => {
      await tables.createTable('pictures', {
        sha256: { type: DataTypes.STRING(64), primaryKey: true },
        type: { type: DataTypes.STRING(32), allowNull: false },
        width: { type: DataTypes.DOUBLE, allowNull: false },
        height: { type: DataTypes.DOUBLE, allowNull: false },
        bytes: { type: DataTypes.BLOB, allowNull: false },
        createdAt: { type: DataTypes.DATE, allowNull: false },
      });
    },
  },
  {
    name: '003-easings',
    up: async (tables) => {
      await tables.createTable('easings', {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        name: { type: DataTypes.STRING, allowNull: false },
        easing: { type: DataTypes.TEXT, allowNull: false },
        createdAt: { type: DataTypes.DATE, allowNull: false },
      });
    },
  },
];

/** Brings a database to the present shape. */
export async function migrateDatabase(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({
      name,
      up: async () => up(sequelize.getQueryInterface()),
    })),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  await umzug.up();
}
