import { describe, expect, it } from '@jest/globals';
import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import { openDatabase } from './database';
import { migrationsUpTo, migrationsWith } from '../testing/migrations-up-to';
import { bareDatabase, emptyDatabase, migrationsFolder } from '../testing/template';

const fixture = (version: string): string =>
  readFileSync(fileURLToPath(new URL(`../testing/fixtures/data-${version}.sql`, import.meta.url)), 'utf8');
const newFolder = (): string => join(mkdtempSync(join(tmpdir(), 'yellow-pane-open-')), 'db');

/** Of every migration that was ever landed. A new one is added here; none is ever changed. */
const LANDED: Readonly<Record<string, string>> = {
  '0000_first.sql': '9024f6952453383b3df3ee23a706123af194d41795963cca5a7651f470e4a091',
  '0001_survey.sql': 'db96bde21c3ff16bfbd7aa5b2ee267ad65fe250014418a7cdba0cf977a3d697e',
  '0002_film_choice.sql': '72d0fd88dd762dfb13a9aa860ad8324123ec305d9692a637a2313f570bf851ca',
  '0003_glass_coating.sql': '3b954954246c2d68ad23c260d48028b81122de80488b81be82bee5c927cb6cc1',
  '0004_edge_depth.sql': '96b7e2013801f1b7428d5ff1a43cccff936e78611ba783d7cf533e39e5576bc2',
  '0005_cutting.sql': 'b84fbfd69a04520584a8a5f65c17673f895a4b38223e094113e5abcefcb0e903',
  '0006_cutting_rolls.sql': '33bd5af70041ecd7500b65af3e58af52b4ade205dee418d9e24f477fc4e63518',
  '0007_cutting_outlines.sql': '3e8fd065e6b9865c99daceba49349da8cf58a14ad3d45bf63c7719d2cc9930d2',
  '0008_cutting_flipped.sql': '5e8b0d0ea4e64f16a31de1e280bde7ce82a1b738a36fcbd150522ec61a60f5df',
  '0009_day.sql': 'cfe8cda8c4afd13e29b734ecf918da993704db88b0c1098b7725ba2bf3eed391',
  '0010_fins_rest_days_supplies.sql': '3c6281526b341f3e3df450a9d9c9c4993d846d48bda8341899a14b51188200a7',
  '0011_handedness.sql': '9a6f574a2ba936500904ff0fd560909886933cc4b5c2f655fcb8e1a6af6df963',
  '0012_references.sql': '743100af3208bc17de3de0f8fa02b21b6efdbdb83fd11d8425ed1995e39cf56b',
  '0013_people.sql': '9f2bb0b05de7e2c9714863fc5be1be30c322f9df56fc80c0c79e623d764c9db8',
  '0014_skills_of_people.sql': 'e094e2b339cd4eebd23f4e19cdf8a35e57e3216864116eb028db4774395267fb',
  '0015_learned.sql': 'a8ae4dd888d9049a5c5b1184e3a7683e624b1fb7bf32929ea1a9e7d49663cc52',
  '0016_rates_are_learned.sql': '0a44146b44d35df10242d28bba8e57e18474ffafb5702e175069f9f0abd8a63d',
  '0017_edges_seen_and_sun.sql': '3abe9bd0861f94bd9aba57d6869ba8ac0bb0f44b7d3520173ae5e7d4c10604e4',
  '0018_film_material.sql': '73bb9d03ff9b9dbd99f70569973297aac323234f460abb0f1fabcf2dc6093324',
  '0019_seams_for_a_roll.sql': '27d03d2ed2ea7a884045241f8b4028eae58e27a050eb041902a82063fcb76c60',
  '0020_offcut_gone.sql': '37f25d63c01826ea9602d4913a1d8b32963d9ba06f643cf087d4f40f9187bcc5',
  '0021_film_sheet.sql': '6298fe71895ff354b60f0d8df84e6ddb8e7abad9af5608da869b17878acf3c76',
  '0022_ways.sql': 'd4427bca24067aa0d9c8b352f77d7d96cdea218882129bb915c4fffcac7c47b5',
  '0023_schools_chosen.sql': '7e1395e211e8e766b9062f070e80d13dbaf900ba8624ecff6578068ed1325e8c',
  '0024_rounds.sql': '2c7533c42a90312f20a20b59f20381eae1cc03ba5ad652128091400ec6a39a29',
  '0025_fit_rows.sql': 'be7eadab70445ae8b4c4887de74b5a9c7e30fe880157ef3a1f4a6756096c10dc',
  '0026_rounds_at.sql': 'cd3a399ff942e1292780c032d02e0f56ff510ec5145a9419306dbcb8d27d99fb',
  '0027_mix_of_a_step.sql': '98d48a4ecc707251ac5cd1f72f97f6746ebc2bd3f09fbfa5a90b3fc9abfdbc64',
  '0028_shrink_plans.sql': '90747dc5397ff6af55fb91c6141ca1f31e4dc9c4e470970c22f81670267a8f66',
  '0029_dish_and_corner.sql': '04ba51a6c5e23abce90590b8b6e74a5cd8314762c949f6fde70563dc5d7eaec2',
  '0030_check.sql': 'b08a60de577b0dc4ff824bc39261d14b86d8b0d75988dcaf3789765d774266d7',
  '0031_causes.sql': 'dd8697ec23833b400313420bac95c05107c9dcb6d6b3a184b441500ce1b8a7b6',
  '0032_climate.sql': '46742211710735e45deb54522603dd77b076681678511717a1ce642495317dca',
  '0033_cases_apart.sql': '9e5714c84b3f6aea5b586e7f254d3e94b04274e11bb1ceaba83957b04c8bdb19',
  '0034_money.sql': 'd0634c1f04eea3b20d823ca9ef36c4722d0dac13661d5b8b0933f8de87c05b66',
  '0035_close.sql': 'ffb57568a6edf6c6773816377a76a8d23dadc3f3dc8dd251fdbaa9142fee502c',
};

describe('may a migration be changed once it has landed?', () => {
  it('no: folders made with it would not open any more', () => {
    const now = Object.fromEntries(
      readdirSync(migrationsFolder)
        .filter((name) => name.endsWith('.sql'))
        .map((name) => [
          name,
          createHash('sha256')
            .update(readFileSync(join(migrationsFolder, name)))
            .digest('hex'),
        ]),
    );
    expect(now).toEqual(LANDED);
  });
});

describe('does this version open folders of earlier ones?', () => {
  it.each(['0.1.0-first', '0.1.0', '0.3.0', '0.4.0'])(
    'one of %s, with its rows, after keeping a copy of it',
    async (version) => {
      const folder = newFolder();
      const earlier = await PGlite.create({ dataDir: folder, loadDataDir: await bareDatabase() });
      await earlier.exec(fixture(version));
      await earlier.close();
      const { db, close, keptBefore } = await openDatabase({ folder, migrationsFolder });
      const one = async (text: string): Promise<unknown> => (await db.execute(sql.raw(text))).rows[0];
      expect(
        await one(
          'select s.tag, s.name, m.text, m.value_nm from surface s join measure m on m.surface_id = s.id',
        ),
      ).toEqual({ tag: 'SW1', name: 'far left', text: '34 5/8', value_nm: 879_475_000 });
      expect(await one('select note from work_record')).toEqual({ note: 'kept' });
      expect(await one(`select indexdef from pg_indexes where indexname = 'measure_job'`)).toMatchObject({
        indexdef: expect.stringContaining('(job_id, id)'),
      });
      expect(existsSync(join(keptBefore ?? '', 'PG_VERSION'))).toBe(true);
      await close();
      const again = await openDatabase({ folder, migrationsFolder });
      expect(again.keptBefore).toBeUndefined();
      await again.close();
    },
  );
});

describe('what if a folder cannot be brought up to date?', () => {
  it('one that a newer version used is refused in a sentence, and stays as it is', async () => {
    const folder = newFolder();
    await (
      await openDatabase({
        folder,
        template: await emptyDatabase(),
        migrationsFolder: migrationsWith(migrationsFolder, '9999_later', 'create table later (id int)'),
      })
    ).close();
    await expect(openDatabase({ folder, migrationsFolder })).rejects.toThrow(
      'was last used by a newer version of Yellow Pane',
    );
    await (
      await openDatabase({
        folder,
        migrationsFolder: migrationsWith(migrationsFolder, '9999_later', 'create table later (id int)'),
      })
    ).close();
  });
  it('a migration that fails leaves it as it was, and the sentence names the copy', async () => {
    const folder = newFolder();
    const before = migrationsUpTo(migrationsFolder, '0010_fins_rest_days_supplies');
    await (await openDatabase({ folder, migrationsFolder: before, template: await bareDatabase() })).close();
    const failing = openDatabase({
      folder,
      migrationsFolder: migrationsWith(
        migrationsFolder,
        '9999_later',
        'create table half (id int);--> statement-breakpoint\nselect no_such_thing()',
      ),
    });
    await expect(failing).rejects.toThrow(
      `It is as it was, and a copy of it is ${folder}-before-0011_handedness`,
    );
    const { db, close, keptBefore } = await openDatabase({ folder, migrationsFolder: before });
    expect((await db.execute(sql`select to_regclass('half') as half`)).rows).toEqual([{ half: null }]);
    expect(keptBefore).toBeUndefined();
    await close();
  });
});
