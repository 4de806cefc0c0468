// The shape of each kind of proposal in a survey file. One that is forgotten here does not compile.

import { type ClassConstructor, Part } from './fill';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  IsIn,
  MinLength,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import type { TableId } from '../core/catalogue/identifiers';
import { referentialActions } from '../core/catalogue/model';
import { type Claim, forms } from '../core/evidence/claims';
import type { Among } from '../core/evidence/among';
import type { DefaultValue } from '../core/operations/default-value';
import { checkedWhen } from '../core/operations/change-constraint';
import type { ChangeProposal } from '../core/remedies/change';
import type { Proposal } from '../core/remedies/index';
import { becomings, type RetypeProposal } from '../core/remedies/types/retype';
import type { RenameProposal } from '../core/remedies/rename';
import { IsClaim } from './claims';
import { Names, together } from './surveyFile';

const Name = () => together(IsString(), MinLength(1));
const Count = () => together(IsInt(), Min(0));
/** Columns that a change is made of. */
const SomeNames = () => together(Names(), ArrayMinSize(1));

class ParentShape {
  @Name() schema!: string;
  @Name() table!: string;
  @Names() columns!: string[];
}

/** As many columns of the parent as `columns` has. */
const Parent = () =>
  together(
    ValidateNested(),
    Part(() => ParentShape),
    ValidateBy({
      name: 'isParent',
      validator: {
        validate: (parent: unknown, context) =>
          typeof parent === 'object' &&
          parent !== null &&
          !Array.isArray(parent) &&
          (parent as ParentShape).columns?.length === (context?.object as Partial<ColumnsShape> | undefined)?.columns?.length,
        defaultMessage: () => 'is a reference without as many parent columns as columns',
      },
    }),
  );

class ColumnsShape {
  @Names() @ArrayMaxSize(64) columns!: string[];
}

const listed = 1_000;

class ChildShape {
  @Name() table!: string;
  @IsOptional() @Count() rows!: number | null;
}

class OfferedKeyShape {
  @SomeNames() columns!: string[];
  @Count() nullRows!: number;
  @IsNumber() score!: number;
  @IsArray() @ArrayMaxSize(listed) @IsString({ each: true }) reasons!: string[];
}

class MissingKeyShape extends ColumnsShape {
  @IsOptional() @Count() rows!: number | null;
  @ValidateNested({ each: true }) @IsArray() @ArrayMaxSize(64) @Part(() => OfferedKeyShape) candidates!: OfferedKeyShape[];
  @Name() surrogate!: string;
  @ValidateNested({ each: true }) @IsArray() @Part(() => ChildShape) children!: ChildShape[];
}

class PrimaryKeyShape extends MissingKeyShape {
  @Equals('primaryKey') kind!: 'primaryKey';
}

class SurrogateKeyShape extends MissingKeyShape {
  @Equals('surrogateKey') kind!: 'surrogateKey';
}

class ReplaceKeyShape extends ColumnsShape {
  @Equals('replaceKey') kind!: 'replaceKey';
  @Name() name!: string;
  @Name() surrogate!: string;
}

class SelfNumberingShape {
  @Equals('selfNumbering') kind!: 'selfNumbering';
  @SomeNames() @ArrayMaxSize(1) columns!: string[];
}

class OtherParentShape extends ColumnsShape {
  @Parent() parent!: ParentShape;
  @IsNumber() @Min(0) @Max(1) confidence!: number;
  @IsOptional() @Count() orphanRows!: number | null;
}

class ForeignKeyShape extends ColumnsShape {
  @Equals('foreignKey') kind!: 'foreignKey';
  @Parent() references!: ParentShape;
  @IsOptional() @Count() orphanRows!: number | null;
  @ValidateNested({ each: true }) @IsArray() @ArrayMaxSize(listed) @Part(() => OtherParentShape) others!: OtherParentShape[];
}

class ValidateShape extends ColumnsShape {
  @Equals('validate') kind!: 'validate';
  @Name() name!: string;
  @IsOptional() @Parent() references?: ParentShape;
  @IsOptional() @Count() orphanRows!: number | null;
}

class LiveShape {
  @Name() column!: string;
  @IsIn(['flag', 'moment']) set!: 'flag' | 'moment';
}

class AmongShape {
  @IsOptional() @ValidateNested() @Part(() => LiveShape) live?: LiveShape;
  @IsOptional() @Equals(true) folded?: true;
}

class UniqueShape {
  @Equals('unique') kind!: 'unique';
  @SomeNames() columns!: string[];
  @IsOptional() @ValidateNested() @Part(() => AmongShape) among?: Among;
}

class PromoteShape extends ColumnsShape {
  @Equals('promote') kind!: 'promote';
  @Name() index!: string;
}

class LikelyChildShape {
  @Name() table!: TableId;
  @SomeNames() columns!: string[];
  @SomeNames() parentColumns!: string[];
}

class RepeatsShape {
  @Equals('repeats') kind!: 'repeats';
  @SomeNames() columns!: string[];
  @ValidateNested({ each: true }) @IsArray() @Part(() => LikelyChildShape) children!: LikelyChildShape[];
  @Count() rows!: number;
  @Count() values!: number;
  @IsOptional() @ValidateNested() @Part(() => AmongShape) among?: Among;
}

class NotNullShape {
  @Equals('notNull') kind!: 'notNull';
  @SomeNames() columns!: string[];
}

class NullsShape {
  @Equals('nulls') kind!: 'nulls';
  @SomeNames() columns!: string[];
  @Count() rows!: number;
}

class StandInsShape extends ColumnsShape {
  @Equals('standIns') kind!: 'standIns';
  @IsArray() @ArrayMinSize(1) @ArrayMaxSize(8) @IsClaim(true) claims!: Claim[];
}

class CheckShape extends ColumnsShape {
  @Equals('check') kind!: 'check';
  @IsClaim() claim!: Claim;
  @Count() rows!: number;
}

class IndexShape {
  @Equals('index') kind!: 'index';
  @SomeNames() columns!: string[];
}

class RenameShape extends ColumnsShape {
  @Equals('rename') kind!: 'rename';
  @Name() from!: string;
  @Name() to!: string;
  @IsOptional() @IsIn(['index', 'column', 'sequence', 'trigger', 'table']) object?: NonNullable<RenameProposal['object']>;
}

class DropShape extends ColumnsShape {
  @Equals('drop') kind!: 'drop';
  @Name() name!: string;
  @IsOptional() @IsIn(['index']) object?: 'index';
}

class ChangeShape extends ColumnsShape {
  @Equals('change') kind!: 'change';
  @Name() name!: string;
  @IsOptional() @IsIn(referentialActions) onDelete?: NonNullable<ChangeProposal['onDelete']>;
  @IsOptional() @IsIn(referentialActions) onUpdate?: NonNullable<ChangeProposal['onUpdate']>;
  @IsOptional() @IsIn(Object.keys(checkedWhen)) deferrable?: NonNullable<ChangeProposal['deferrable']>;
  @IsOptional() @Equals('alike') nulls?: 'alike';
}

class DefaultValueShape {
  @IsIn(['none', 'constant', 'now', 'today', 'newId']) kind!: DefaultValue['kind'];
  @IsOptional() @IsString() @MaxLength(1000) text?: string;
}

class DefaultShape extends ColumnsShape {
  @Equals('default') kind!: 'default';
  @ValidateNested() @Part(() => DefaultValueShape) value!: DefaultValue;
}

class RetypeShape extends ColumnsShape {
  @Equals('retype') kind!: 'retype';
  @IsIn(becomings) to!: RetypeProposal['to'];
  @IsOptional() @Parent() references?: ParentShape;
  @IsOptional() @IsString() @MaxLength(200) was?: string;
  @IsOptional() @IsIn(forms) form?: NonNullable<RetypeProposal['form']>;
  @IsOptional() @Count() against?: number | null;
  @IsOptional() @Count() otherwise?: number | null;
}

class KeepByShape extends ColumnsShape {
  @Equals('keepBy') kind!: 'keepBy';
}

class LookupShape {
  @Equals('lookup') kind!: 'lookup';
  @SomeNames() @ArrayMaxSize(1) columns!: string[];
  @IsOptional() @Parent() references?: ParentShape;
  @IsOptional() @Count() orphanRows!: number | null;
  @IsOptional() @Name() named?: string;
}

class SwitchShape extends ColumnsShape {
  @Equals('switch') kind!: 'switch';
  @Name() trigger!: string;
  @IsBoolean() on!: boolean;
  @IsOptional() @IsIn(['reference']) object?: 'reference';
}

class ByHandShape extends ColumnsShape {
  @Equals('byHand') kind!: 'byHand';
}

type Shapes = { readonly [Kind in Proposal['kind']]: ClassConstructor<Extract<Proposal, { kind: Kind }>> };

export const proposalShapes: Shapes = {
  primaryKey: PrimaryKeyShape,
  surrogateKey: SurrogateKeyShape,
  replaceKey: ReplaceKeyShape,
  selfNumbering: SelfNumberingShape,
  foreignKey: ForeignKeyShape,
  validate: ValidateShape,
  unique: UniqueShape,
  promote: PromoteShape,
  repeats: RepeatsShape,
  notNull: NotNullShape,
  nulls: NullsShape,
  standIns: StandInsShape,
  check: CheckShape,
  index: IndexShape,
  rename: RenameShape,
  drop: DropShape,
  change: ChangeShape,
  default: DefaultShape,
  retype: RetypeShape,
  keepBy: KeepByShape,
  lookup: LookupShape,
  switch: SwitchShape,
  byHand: ByHandShape,
};
