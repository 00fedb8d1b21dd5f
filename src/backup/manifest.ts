import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsArray, IsIn, IsInt, IsISO8601, IsString, Matches, Min, ValidateNested } from 'class-validator';

export const FORMAT = 'tidy-spool-backup';
export const MANIFEST = 'manifest.json';
export const tableFile = (name: string) => `tables/${name}.ndjson`;
export const pictureFile = (id: string) => `photographs/${id}`;

const HASH = /^[0-9a-f]{64}$/;

export class TableInfo {
  @Matches(/^[a-z_]{1,63}$/) name!: string;
  @IsInt() @Min(0) rows!: number;
  @Matches(HASH) sha256!: string;
}
export class PictureInfo {
  @Matches(/^[0-9a-f-]{36}$/) id!: string;
  @IsInt() @Min(0) bytes!: number;
  @Matches(HASH) sha256!: string;
}

/** What a copy holds: written last, read first. */
export class Manifest {
  @IsIn([FORMAT]) format!: string;
  @IsInt() @Min(1) version!: number;
  @IsISO8601() madeAt!: string;
  /** The newest migration of the studio it was made of. */
  @IsString() @Matches(/^\d{4}_[a-z0-9_]+\.sql$/) schema!: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => TableInfo) tables!: TableInfo[];
  @IsArray() @ValidateNested({ each: true }) @Type(() => PictureInfo) photographs!: PictureInfo[];
}
