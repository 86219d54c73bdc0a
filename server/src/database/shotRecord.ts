import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A row of `shots`: the document as text, and what the list needs without reading it. */
export interface ShotRecord extends Model<InferAttributes<ShotRecord>, InferCreationAttributes<ShotRecord>> {
  id: string;
  revision: number;
  document: string;
  name: string;
  film: string;
  lengthFrames: number;
  rate: number;
  card: string;
  /** Which way of making cards made it: an older one is made anew. */
  cardVersion: number;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
  /** Its place among the shots of its film; null before they were put in order by hand. */
  rank: CreationOptional<number | null>;
  /** When it went to the bin; null while it is in use. */
  removedAt: Date | null;
}

export const defineShotRecord = (sequelize: Sequelize): ModelStatic<ShotRecord> =>
  sequelize.define<ShotRecord>(
    'Shot',
    {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
      name: { type: DataTypes.STRING, allowNull: false },
      film: { type: DataTypes.STRING, allowNull: false },
      lengthFrames: { type: DataTypes.INTEGER, allowNull: false },
      rate: { type: DataTypes.DOUBLE, allowNull: false },
      card: { type: DataTypes.TEXT, allowNull: false },
      cardVersion: { type: DataTypes.INTEGER, allowNull: false },
      createdAt: { type: DataTypes.DATE, allowNull: false },
      updatedAt: { type: DataTypes.DATE, allowNull: false },
      rank: { type: DataTypes.INTEGER, allowNull: true },
      removedAt: { type: DataTypes.DATE, allowNull: true },
    },
    { tableName: 'shots', timestamps: true },
  );
