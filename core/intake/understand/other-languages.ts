import { remember } from '../../part';
import { narrow } from '../text/narrow';

/** What stands over the columns of pin tables in other languages, by what stands there in English. */
const HEADINGS: Record<string, string> = {
  'pin number':
    '脚位 脚号 序号 编号 腳位 編號 序號 番号 번호 pinnr pinnummer anschlussnr anschlussnummer nummer ndebroche numéro numérodebroche ndepin númerodepin número piedinon numero номер номервывода',
  pin: '引脚 管脚 引腳 ピン 端子 핀 anschluss broche patilla piedino вывод',
  'pin name':
    '名称 名 符号 标识 信号 信号名 信号名称 名稱 符號 訊號 記号 이름 신호 bezeichnung signalname kurzzeichen pinname nom nomdebroche signal nombre nome обозначение имя сигнал',
  type: '类型 引脚类型 管脚类型 属性 方向 输入输出 輸入輸出 類型 屬性 入出力 種類 タイプ 유형 입출력 art typ richtung pintyp signalart sens sensdusignal tipo dirección direzione тип направление',
  description:
    '功能 描述 说明 功能描述 功能说明 备注 說明 功能說明 備註 機能 説明 機能説明 備考 内容 설명 기능 beschreibung funktion bedeutung bemerkung bemerkungen anmerkung fonction rôle remarques remarque descripción función observaciones descrizione funzione nota назначение описание функция примечание',
  group: '分组 组别 模块 功能组 分組 グループ 그룹 gruppe funktionsgruppe groupe grupo gruppo группа',
  'alternate functions':
    '复用功能 第二功能 备用功能 重映射 複用功能 兼用端子 兼用機能 alternativfunktion zweitfunktion fonctionalternative',
  parameter: '参数 參數 项目 項目 パラメータ paramètre parámetro parametro параметр kenngröße',
  min: '最小 最小值 минимум мин',
  max: '最大 最大值 максимум макс',
  unit: '单位 單位 単位 einheit unité unidad unità единица',
  condition: '条件 測試條件 测试条件 bedingung bedingungen conditions',
};

const ENGLISH_HEADING = new Map(
  Object.entries(HEADINGS).flatMap(([english, words]) => words.split(' ').map((word) => [word, english] as const)),
);

/** `引脚编号`, `端子名`: most headings say first that they are of pins. */
const OF_PINS = /^(引脚|管脚|引腳|端子|ピン|핀)(?=.)/;

/** The English for a heading of another language; undefined where it is none that is known. */
export const headingInEnglish = remember((heading: string): string | undefined => {
  const word = heading.toLowerCase().replace(/[\s.,:;°º№#()（）/’'-]+/g, '');
  return (
    ENGLISH_HEADING.get(word) ??
    ENGLISH_HEADING.get(word.replace(OF_PINS, '')) ??
    (/^(引脚|管脚|引腳)[号號]$/.test(word) ? 'pin number' : undefined)
  );
});

/** What is said of terminals in Chinese, Japanese and Korean: they stand without blanks, the longer before what it holds. */
const WITHOUT_BLANKS: [english: string, words: string][] = [
  ['active low', '低电平有效 低電平有效 低有效 负逻辑 負論理 ローアクティブ アクティブロー'],
  ['active high', '高电平有效 高電平有效 高有效 正論理 ハイアクティブ'],
  ['open-drain output', '开漏输出 漏极开路输出 開漏輸出 オープンドレイン出力 オープン・ドレイン出力'],
  ['open-drain', '漏极开路 开漏 開漏 オープンドレイン オープン・ドレイン 오픈드레인'],
  ['open-collector output', '集电极开路输出 开集输出 オープンコレクタ出力 オープン・コレクタ出力'],
  ['open-collector', '集电极开路 开集 集極開路 オープンコレクタ オープン・コレクタ 오픈컬렉터'],
  ['three-state output', '三态输出 三態輸出 トライステート出力'],
  ['three-state', '三态 三態 トライステート スリーステート'],
  ['input/output', '输入/输出 输入／输出 输入输出 輸入/輸出 輸入輸出 入出力 双向 雙向 双方向 입출력 양방향'],
  ['power output', '电源输出 電源輸出 電源出力 전원출력'],
  ['no connect', '无连接 无内部连接 未连接 空脚 空腳 無連接 未接続 無接続 空きピン 연결없음'],
  ['do not leave open', '不可悬空 不能悬空 不要悬空 禁止悬空 不得悬空 不可懸空'],
  ['leave open', '悬空 懸空 开路 オープン'],
  ['exposed pad', '裸焊盘 散热焊盘 散热片 露出パッド 放熱パッド'],
  ['switch node', '开关节点 開關節點 スイッチングノード'],
  ['chip select', '片选 片選 チップセレクト'],
  ['general-purpose', '通用 汎用'],
  ['address', '地址 位址 アドレス 주소'],
  ['power supply', '供电电源 电源 電源 供电 供電 전원'],
  ['to ground', '到地 对地 至地'],
  ['ground terminal', '接地端 接地引脚 接地脚'],
  ['connect to ground', '接地'],
  ['ground', '电源地 模拟地 数字地 功率地 地 グランド グラウンド 접지'],
  ['input', '输入 輸入 入力 입력'],
  ['output', '输出 輸出 出力 출력'],
  ['passive', '无源 無源 受動'],
  ['reserved', '保留 预留 預留 予約 リザーブ 예약'],
  ['analog', '模拟 模擬 類比 アナログ 아날로그'],
  ['digital', '数字 數位 デジタル 디지털'],
  ['clock', '时钟 時鐘 クロック 클럭'],
  ['data', '数据 數據 データ 데이터'],
  ['enable', '使能 イネーブル'],
  ['reset', '复位 復位 重置 リセット 리셋'],
  ['interrupt', '中断 中斷 割り込み'],
  ['crystal', '晶振 晶体 水晶振動子 水晶'],
  ['capacitor', '电容 電容 コンデンサ'],
  ['power good', '电源好 电源正常 パワーグッド'],
  ['thermistor', '热敏电阻 熱敏電阻 サーミスタ'],
  ['divider', '分压电阻 分压器 分壓電阻 分圧'],
  ['resistor', '电阻 電阻 抵抗'],
  ['inductor', '电感 電感 インダクタ コイル'],
  ['pull-up', '上拉 プルアップ'],
  ['pull-down', '下拉 プルダウン'],
  ['feedback', '反馈 帰還'],
  ['select', '选择 選擇 選択'],
  ['control', '控制 制御'],
  ['signal', '信号 訊號'],
  ['voltage', '电压 電壓 電圧'],
];

/** The same in languages that part their words; what English has too is not among it. */
const IN_WORDS: [english: string, words: string][] = [
  ['active low', 'aktiv[ -]low|low-aktiv|actif à l[’\']état bas|actif bas|activo (?:a nivel )?bajo|attivo basso'],
  ['open-drain output', 'sortie (?:à )?drain ouvert|salida (?:de )?drenador abierto|uscita (?:a )?drain aperto'],
  ['open-drain', 'drain ouvert|drenador abierto|drain aperto|offene[rn]? drain'],
  ['open-collector', 'collecteur ouvert|colector abierto|collettore aperto|offene[rn]? kollektor|открыт(?:ый|ым) коллектор(?:ом)?'],
  ['input/output', 'ein-?(?:/|und |/ )ausgang|entrée ?/ ?sortie|entrée et sortie|entrada ?/ ?salida|ingresso ?/ ?uscita|вход ?/ ?выход|wejście ?/ ?wyjście|bidirektional(?:e[rs]?)?|bidirectionnel(?:le)?|bidireccional|bidirezionale|двунаправленный'],
  ['reference output', 'referenzausgang|sortie de référence|salida de referencia|uscita di riferimento'],
  ['regulated output', 'geregelter ausgang|sortie régulée|salida regulada|uscita regolata'],
  ['power output', 'versorgungsausgang|sortie d[’\']alimentation|alimentation \\(sortie\\)|salida de alimentación|uscita di alimentazione'],
  ['no connect', 'nicht (?:verbunden|angeschlossen|beschaltet|belegt)|unbelegt|unbeschaltet|non connectée?|no conectad[oa]|non (?:connesso|collegato)|не подключ[её]н|не используется'],
  ['power supply', 'spannungsversorgung|stromversorgung|versorgungsspannung|betriebsspannung|versorgung|alimentation|alimentación|alimentazione|zasilanie|питание'],
  ['to ground', '(?:nach|gegen|an|zu) masse|à la masse|a masa|a massa'],
  ['ground', 'masse|masa|massa|tierra|земля|общий'],
  ['input', 'eingang|entrée|entrada|ingresso|wejście|вход'],
  ['output', 'ausgang|sortie|salida|uscita|wyjście|выход'],
  ['passive', 'passiv|passif|pasivo|passivo|пассивный'],
  ['reserved', 'reserviert|réservé|reservado|riservato|зарезервирован'],
  ['clock', 'takt|horloge|reloj|тактовый'],
  ['transmit data', 'sendedaten'],
  ['receive data', 'empfangsdaten'],
  ['from the', 'vom'],
  ['to the', 'zum'],
  ['data', 'daten|données|datos|dati|данные'],
  ['enable', 'freigabe|habilitación|abilitazione'],
  ['capacitor', 'kondensator|condensateur|condensador|condensatore|конденсатор'],
  ['non-inverting', 'nicht-?invertierende[rs]?|non[ -]inverseu(?:se|r)|no inversora?|non invertente'],
  ['inverting', 'invertierende[rs]?|inverseuse|inversora|invertente'],
  ['cathode', 'kathode|cátodo|catodo'],
  ['anode', 'ánodo|anodo'],
  ['collector', 'kollektor|collecteur|colector|collettore'],
  ['base', 'basis'],
  ['emitter', 'émetteur|emisor|emettitore'],
  ['positive', 'positiver|positif|positiv[ao]'],
  ['negative', 'negativer|négati(?:ve|f)|negativ[ao]'],
  ['resistor', 'widerstand|résistance|resistencia|резистор'],
]; // prettier-ignore

const replacements = (lists: [english: string, words: string][], split: RegExp) =>
  new Map(lists.flatMap(([english, words]) => words.split(split).map((word) => [word, english] as const)));
const DENSE = replacements(WITHOUT_BLANKS, / /);
const DENSE_WORD = new RegExp([...DENSE.keys()].sort((a, b) => b.length - a.length).join('|'), 'g');
const IS_DENSE = /[\u3040-\u30ff\u3400-\u9fff\uac00-\ud7af]/;

const SPACED = IN_WORDS.map(([english, words]) => ({ english, word: new RegExp(`(?<!\\p{L})(?:${words})(?!\\p{L})`, 'giu') }));
const IS_SPACED = new RegExp(IN_WORDS.map(([, words]) => `(?:${words})`).join('|'), 'iu');
/** `Takteingang`, `Digitalausgang`: German writes both words as one. */
const COMPOUND = /(?<!\p{L})(\p{L}+?)(?:s?(eingang|ausgang|masse))(?!\p{L})/giu;
const GERMAN: Record<string, string> = { eingang: 'input', ausgang: 'output', masse: 'ground', takt: 'clock', daten: 'data' };

/**
 * A text with what it says of terminals in the words that the reader knows: `Takteingang` is `clock input`, `数字地` `ground`.
 * What is not known stays as it is; a text in English comes back itself.
 */
export const inEnglish = remember((text: string): string => {
  let out = text;
  if (IS_DENSE.test(out))
    out = narrow(out)
      .replace(DENSE_WORD, (word) => ` ${DENSE.get(word)!} `)
      .replace(/[、。]/g, (mark) => (mark === '、' ? ', ' : '. '))
      .replace(/\s+/g, ' ')
      .replace(/ (?=[,;.)])/g, '')
      .trim();
  if (IS_SPACED.test(out)) {
    for (const { english, word } of SPACED) out = out.replace(word, english);
    out = out.replace(COMPOUND, (_, of: string, what: string) => `${GERMAN[of.toLowerCase()] ?? of} ${GERMAN[what.toLowerCase()]!}`);
  }
  return out;
});
