import type { ElectricalType } from '../../part';
import { roleOfHeading } from '../table/headings';
import { inferType } from './infer-type';
import { inEnglish } from './other-languages';

it.each([
  ['引脚号', 'number'],
  ['管脚序号', 'number'],
  ['端子番号', 'number'],
  ['Pin-Nr.', 'number'],
  ['引脚', 'ambiguous'],
  ['Broche', 'ambiguous'],
  ['引脚名称', 'name'],
  ['端子名', 'name'],
  ['Bezeichnung', 'name'],
  ['Nom', 'name'],
  ['类型', 'type'],
  ['入出力', 'type'],
  ['Sens', 'type'],
  ['功能描述', 'description'],
  ['Beschreibung', 'description'],
  ['复用功能', 'alternates'],
  ['Gruppe', 'group'],
  ['参数', 'description'],
])('over a column %s says %s', (heading, role) => expect(roleOfHeading(heading)).toBe(role));

it.each([
  ['Takteingang', 'clock input'],
  ['Digitalausgang', 'Digital output'],
  ['100 nF nach Masse', '100 nF to ground'],
  ['Sortie (drain ouvert)', 'output (open-drain)'],
  ['芯片使能输入，高电平有效', '芯片 enable input, active high'],
  ['地址输入', 'address input'],
  ['接电容到地', '接 capacitor to ground'],
  ['I2C データ、オープンドレイン', 'I2C data, open-drain'],
  ['Mass flow sensor, Taktik', 'Mass flow sensor, Taktik'],
])('%s means %s', (text, english) => expect(inEnglish(text)).toBe(english));

it.each<[name: string, code: string, description: string, type: ElectricalType]>([
  ['OUT1', 'Ausgang (Open-Drain)', 'Relaisausgang 1', 'open-drain'],
  ['VREG', 'Versorgungsausgang', 'Interner Regler', 'supply-out'],
  ['NC', 'Unbeschaltet', 'Nicht verbunden', 'no-connect'],
  ['IN+', 'Entrée', 'Entrée non inverseuse', 'input'],
  ['SDA', '输入/输出', 'I2C 数据', 'bidirectional'],
  ['SORTIE', 'Sortie', 'Sortie du comparateur, collecteur ouvert', 'open-drain'],
  ['ST', 'Ausgang', 'Störungsmeldung, offener Kollektor', 'open-drain'],
  ['INT', '输出', '中断，集电极开路', 'open-drain'],
  ['STDBY', '', '充电完成指示，漏极开路输出', 'open-drain'],
  ['BST', '', '自举电容，接 100 nF 到 SW', 'passive'],
  ['VDD', '电源', '', 'supply-in'],
  ['SCL', '入力', 'I2C クロック', 'input'],
])('%s, “%s”, “%s” is %s', (name, code, description, type) =>
  expect(inferType(name, code === '' ? undefined : code, description, new Map())).toMatchObject({ type }),
);

it('leaves a type that it has no word for to a person', () =>
  expect(inferType('VCC_OUT', 'Tápkimenet', '', new Map()).doubt?.reason).toBe(
    'The type “Tápkimenet” is not known; taken from name VCC_OUT.',
  ));

it.each([
  ['Rücksetzeingang, low-aktiv', 'active low'],
  ['Interrupt, L-aktiv', 'active low'],
  ['Remise à zéro (active à l’état bas)', 'active low'],
  ['Habilitación, activa a nivel bajo', 'active low'],
  ['Reset, ativo em nível baixo', 'active low'],
  ['Ripristino, attivo basso', 'active low'],
  ['zerowanie, aktywny stan niski', 'active low'],
  ['Сброс, активный низкий уровень', 'active low'],
  ['nulování aktivní v nule', 'active low'],
  ['reset, actief laag', 'active low'],
  ['リセット入力(Lアクティブ)', 'active low'],
  ['리셋 (로우 액티브)', 'active low'],
  ['Schreibfreigabe (aktiv High)', 'active high'],
  ['인터럽트 (오픈 드레인)', 'open-drain'],
  ['割り込み出力(オープン ドレイン)', 'open-drain'],
  ['Saída em dreno aberto', 'open-drain'],
  ['Выход с открытым стоком', 'open-drain'],
  ['výstup s otevřeným kolektorem', 'open-collector'],
  ['Sortie trois états', 'three-state'],
  ['Положительное напряжение питания', 'positive power supply'],
])('%s says %s', (text, english) => expect(inEnglish(text)).toContain(english));
