import type { Construction } from '../../core/joins/ends';
import type { Known } from '../../core/provenance/source';
import type { Material } from '../../core/materials/materials';
import type { Source } from '../../core/provenance/source';
import type { LineProductRecord } from '../../core/record/record';
import { onlyRow, type Queryable } from '../withBoat';

interface Row {
  id: string;
  name: string;
  material: Material;
  construction: Construction | null;
  diameter_m: number;
  diameter_sd_m: number;
  diameter_source: Source;
  packing: number;
  packing_sd: number;
  packing_source: Source;
  label_strength_n: number | null;
  family: string;
  colour_length_m: number | null;
  colours: string[];
  mass_kg_per_m: number | null;
  archived_at: string | null;
  version: number;
}

function toLine(row: Row): LineProductRecord {
  return {
    id: row.id,
    name: row.name,
    material: row.material,
    construction: row.construction,
    diameterM: { value: row.diameter_m, sd: row.diameter_sd_m, source: row.diameter_source },
    packing: { value: row.packing, sd: row.packing_sd, source: row.packing_source },
    labelStrengthN: row.label_strength_n,
    family: row.family,
    colourLengthM: row.colour_length_m,
    colours: row.colours,
    massKgPerM: row.mass_kg_per_m,
    archivedAt: row.archived_at,
    version: row.version,
  };
}

export async function listLines(db: Queryable, boatId: string): Promise<readonly LineProductRecord[]> {
  const result = await db.query<Row>('SELECT * FROM line_products WHERE boat_id = $1 ORDER BY name', [boatId]);
  return result.rows.map(toLine);
}

export type LineInput = Omit<LineProductRecord, 'id' | 'version' | 'archivedAt'>;

function lineValues(line: LineInput): unknown[] {
  return [
    line.name,
    line.material,
    line.diameterM.value,
    line.diameterM.sd,
    line.diameterM.source,
    line.packing.value,
    line.packing.sd,
    line.packing.source,
    line.labelStrengthN,
    line.family,
    line.colourLengthM,
    line.colours,
    line.construction,
    line.massKgPerM,
  ];
}

export async function insertLine(db: Queryable, boatId: string, line: LineInput): Promise<string> {
  const result = await db.query<{ id: string }>(
    `INSERT INTO line_products (name, material, diameter_m, diameter_sd_m, diameter_source, packing, packing_sd,
       packing_source, label_strength_n, family, colour_length_m, colours, construction, mass_kg_per_m, boat_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15) RETURNING id`,
    [...lineValues(line), boatId],
  );
  return onlyRow(result).id;
}

/** Writes a line over the version that was read; false when somebody else has written since. */
export async function updateLine(
  db: Queryable,
  boatId: string,
  lineId: string,
  version: number,
  line: LineInput,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE line_products SET name = $1, material = $2, diameter_m = $3, diameter_sd_m = $4, diameter_source = $5,
       packing = $6, packing_sd = $7, packing_source = $8, label_strength_n = $9, family = $10,
       colour_length_m = $11, colours = $12, construction = $13, mass_kg_per_m = $14, version = version + 1
     WHERE boat_id = $15 AND id = $16 AND version = $17`,
    [...lineValues(line), boatId, lineId, version],
  );
  return result.rowCount === 1;
}

/** Puts a measured thickness in the place of what was believed of a line; false where it was changed elsewhere. */
export async function setDiameter(
  db: Queryable,
  boatId: string,
  lineId: string,
  version: number,
  { value, sd }: Known,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE line_products SET diameter_m = $4, diameter_sd_m = $5, diameter_source = 'measured', version = version + 1
     WHERE boat_id = $1 AND id = $2 AND version = $3`,
    [boatId, lineId, version, value, sd],
  );
  return result.rowCount === 1;
}

/** Keeps what a metre of a line weighs (kg/m); false where it was changed elsewhere. */
export async function setMass(
  db: Queryable,
  boatId: string,
  lineId: string,
  version: number,
  massKgPerM: number,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE line_products SET mass_kg_per_m = $4, version = version + 1
     WHERE boat_id = $1 AND id = $2 AND version = $3`,
    [boatId, lineId, version, massKgPerM],
  );
  return result.rowCount === 1;
}
