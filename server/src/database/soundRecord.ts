import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import type { SeenSound } from '../sounds/seeSound';

/** A row of `sounds`: the bytes as they came, and what they are. */
export interface SoundRecord extends Model<
  InferAttributes<SoundRecord>,
  InferCreationAttributes<SoundRecord>
> {
  sha256: string;
  type: SeenSound['type'];
  seconds: number;
  bytes: Buffer;
  createdAt: CreationOptional<Date>;
}

export const defineSoundRecord = (sequelize: Sequelize): ModelStatic<SoundRecord> =>
  sequelize.define<SoundRecord>(
    'Sound',
    {
      sha256: { type: DataTypes.STRING(64), primaryKey: true },
      type: { type: DataTypes.STRING(32), allowNull: false },
      seconds: { type: DataTypes.DOUBLE, allowNull: false },
      bytes: { type: DataTypes.BLOB, allowNull: false },
      createdAt: { type: DataTypes.DATE, allowNull: false },
    },
    { tableName: 'sounds', timestamps: true, updatedAt: false },
  );
