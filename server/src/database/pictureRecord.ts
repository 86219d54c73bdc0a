import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import type { PictureType } from '../threads/pictureTasks';

/** A row of `pictures`: the bytes as they came, and what they are. */
export interface PictureRecord extends Model<
  InferAttributes<PictureRecord>,
  InferCreationAttributes<PictureRecord>
> {
  sha256: string;
  type: PictureType;
  width: number;
  height: number;
  bytes: Buffer;
  createdAt: CreationOptional<Date>;
}

export const definePictureRecord = (sequelize: Sequelize): ModelStatic<PictureRecord> =>
  sequelize.define<PictureRecord>(
    'Picture',
    {
      sha256: { type: DataTypes.STRING(64), primaryKey: true },
      type: { type: DataTypes.STRING(32), allowNull: false },
      width: { type: DataTypes.DOUBLE, allowNull: false },
      height: { type: DataTypes.DOUBLE, allowNull: false },
      bytes: { type: DataTypes.BLOB, allowNull: false },
      createdAt: { type: DataTypes.DATE, allowNull: false },
    },
    { tableName: 'pictures', timestamps: true, updatedAt: false },
  );
