import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A row of `easings`: one that somebody keeps by a name, to be used in any shot. */
export interface EasingRecord extends Model<
  InferAttributes<EasingRecord>,
  InferCreationAttributes<EasingRecord>
> {
  id: string;
  name: string;
  /** JSON, checked by the core's schema before it is written. */
  easing: string;
  createdAt: CreationOptional<Date>;
}

export const defineEasingRecord = (sequelize: Sequelize): ModelStatic<EasingRecord> =>
  sequelize.define<EasingRecord>(
    'Easing',
    {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      name: { type: DataTypes.STRING, allowNull: false },
      easing: { type: DataTypes.TEXT, allowNull: false },
      createdAt: { type: DataTypes.DATE, allowNull: false },
    },
    { tableName: 'easings', timestamps: true, updatedAt: false },
  );
