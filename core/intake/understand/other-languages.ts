import { remember } from '../../part';
import { narrow } from '../text/narrow';

/** What stands over the columns of pin tables in other languages, by what stands there in English. */
const HEADINGS: Record<string, string> = {
  'pin number':
    '脚位 脚号 序号 编号 腳位 編號 序號 番号 번호 pinnr pinnummer anschlussnr anschlussnummer nummer ndebroche numéro numérodebroche ndepin númerodepin número piedinon numero номер номервывода númerodopino númerodoterminal nrwyprowadzenia numerwyprowadzenia numer číslovývodu číslopinu pinnumer pennummer stiftnummer',
  pin: '引脚 管脚 引腳 ピン 端子 핀 anschluss broche patilla piedino вывод pino wyprowadzenie vývod stift',
  'pin name':
    '名称 名 符号 标识 信号 信号名 信号名称 名稱 符號 訊號 記号 이름 신호 bezeichnung signalname kurzzeichen pinname nom nomdebroche signal nombre nome обозначение имя сигнал nomedopino nazwa nazwawyprowadzenia nazwasygnału název označení naam benämning',
  type: '类型 引脚类型 管脚类型 属性 方向 输入输出 輸入輸出 類型 屬性 入出力 種類 タイプ 유형 입출력 art typ richtung pintyp signalart sens sensdusignal tipo dirección direzione тип направление rodzaj typvývodu soort riktning kierunek',
  description:
    '功能 描述 说明 功能描述 功能说明 备注 說明 功能說明 備註 機能 説明 機能説明 備考 内容 설명 기능 beschreibung funktion bedeutung bemerkung bemerkungen anmerkung fonction rôle remarques remarque descripción función observaciones descrizione funzione nota назначение описание функция примечание descrição função opis funkcja opisfunkcji popis funkce beschrijving functie beskrivning',
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
  [
    'active low',
    '低电平有效 低電平有效 低有效 负逻辑 負論理 ローアクティブ アクティブロー 低电平使能 负有效 Lアクティブ 액티브로우 로우액티브 부논리',
  ],
  ['active high', '高电平有效 高電平有效 高有效 正論理 ハイアクティブ Hアクティブ 액티브하이 하이액티브'],
  ['open-drain output', '开漏输出 漏极开路输出 開漏輸出 オープンドレイン出力 オープン・ドレイン出力 오픈드레인출력'],
  ['open-drain', '漏极开路 开漏 開漏 オープンドレイン オープン・ドレイン 오픈드레인'],
  ['open-collector output', '集电极开路输出 开集输出 オープンコレクタ出力 オープン・コレクタ出力'],
  ['open-collector', '集电极开路 开集 集極開路 オープンコレクタ オープン・コレクタ 오픈컬렉터'],
  ['three-state output', '三态输出 三態輸出 トライステート出力'],
  ['three-state', '三态 三態 トライステート スリーステート 트라이스테이트'],
  ['input/output', '输入/输出 输入／输出 输入输出 輸入/輸出 輸入輸出 入出力 双向 雙向 双方向 입출력 양방향'],
  ['power output', '电源输出 電源輸出 電源出力 전원출력'],
  ['no connect', '无连接 无内部连接 未连接 空脚 空腳 無連接 未接続 無接続 空きピン 연결없음'],
  ['do not leave open', '不可悬空 不能悬空 不要悬空 禁止悬空 不得悬空 不可懸空'],
  ['leave open', '悬空 懸空 开路 オープン'],
  ['exposed pad', '裸焊盘 散热焊盘 散热片 露出パッド 放熱パッド 방열패드'],
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
  ['enable', '使能 イネーブル 인에이블'],
  ['reset', '复位 復位 重置 リセット 리셋'],
  ['interrupt', '中断 中斷 割り込み 인터럽트'],
  ['crystal', '晶振 晶体 水晶振動子 水晶 수정진동자'],
  ['capacitor', '电容 電容 コンデンサ 커패시터'],
  ['power good', '电源好 电源正常 パワーグッド'],
  ['thermistor', '热敏电阻 熱敏電阻 サーミスタ'],
  ['divider', '分压电阻 分压器 分壓電阻 分圧'],
  ['resistor', '电阻 電阻 抵抗 저항'],
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
  ['active low', '(?:low|l|niedrig)[- ]aktiv|aktiv[ -](?:low|l|niedrig)|active? à l[’\']état bas|acti(?:f|ve) (?:(?:à l[’\']état|(?:au|à|sur) niveau) )?bas(?:se)?|activ[oa] (?:(?:a|en|por) (?:nivel )?)?baj[oa]|attiv[oa] (?:(?:a|al) (?:livello )?)?bass[oa]|ativ[oa] (?:(?:em|a|no) )?(?:nível )?baix[oa]|aktywn[yae] (?:w stanie |stan(?:em)? |poziom(?:em)? )?nisk(?:i|im|a)|актив(?:ный|ная|ное|ен) (?:по |при )?(?:уровень |уровнем )?[-–—]? ?низк(?:ий|им|ом|ому|ая)(?: уровень| уровнем| уровне| уровню)?|aktivní (?:v nule|v log\\.? ?0|nízká úroveň)|actief laag|laag actief|aktivt? låg[at]?'],
  ['active high', '(?:high|h)[- ]aktiv|aktiv[ -](?:high|h)|acti(?:f|ve) (?:à l[’\']état )?haute?|activ[oa] (?:(?:a|en|por) (?:nivel )?)?alt[oa]|attiv[oa] (?:(?:a|al) (?:livello )?)?alt[oa]|ativ[oa] (?:(?:em|a|no) )?(?:nível )?alt[oa]|aktywn[yae] (?:w stanie |stan(?:em)? |poziom(?:em)? )?wysokim?|активный (?:уровень )?[-–—]? ?высокий(?: уровень)?|actief hoog'],
  ['open-drain output', 'sortie (?:à )?drain ouvert|salida (?:de )?drenador abierto|uscita (?:a )?drain aperto|saída (?:em |de )?dreno aberto|wyjście (?:z )?otwartym? dren(?:em)?'],
  ['open-drain', 'drain ouvert|drenador abierto|drain aperto|offene[rn]? drain|dreno aberto|otwartym? dren(?:em)?|открыт(?:ый|ым) сток(?:ом)?|otevřeným? drain(?:em)?|drenaje abierto'],
  ['open-collector', 'collecteur ouvert|colector abierto|collettore aperto|offene[rn]? kollektor|открыт(?:ый|ым) коллектор(?:ом)?|coletor aberto|otwartym? kolektor(?:em)?|otevřeným? kolektor(?:em)?'],
  ['three-state', 'trois[ -]états|tres estados|triestado|tre stati|três estados|tri-estado|trójstanow[yea]|тристабильный|(?:с )?третьим состоянием|(?:с )?тремя состояниями|třístavov[ýé]'],
  ['input/output', 'ein-?(?:/|und |/ )ausgang|entrée ?/ ?sortie|entrée et sortie|entrada ?/ ?salida|ingresso ?/ ?uscita|вход ?/ ?выход|wejście ?/ ?wyjście|bidirektional(?:e[rs]?)?|bidirectionnel(?:le)?|bidireccional|bidirezionale|двунаправленный|entrada ?/ ?saída|entrada e saída|we ?/ ?wy|вх\.? ?/ ?вых\.?|vstup ?/ ?výstup|ingang ?/ ?uitgang|dwukierunkow[yae]|obousměrn[ýé]|двунаправленная|bidirecional'],
  ['reference output', 'referenzausgang|sortie de référence|salida de referencia|uscita di riferimento'],
  ['regulated output', 'geregelter ausgang|sortie régulée|salida regulada|uscita regolata'],
  ['power output', 'versorgungsausgang|sortie d[’\']alimentation|alimentation \\(sortie\\)|salida de alimentación|uscita di alimentazione'],
  ['no connect', 'nicht (?:verbunden|angeschlossen|beschaltet|belegt)|unbelegt|unbeschaltet|non connectée?|no conectad[oa]|non (?:connesso|collegato)|не подключ[её]н|не используется|não conectad[oa]|niepodłączon[yae]|nie podłączać|nezapojen[oýá]?|niet verbonden'],
  ['power supply', 'spannungsversorgung|stromversorgung|versorgungsspannung|betriebsspannung|versorgung|alimentation|alimentación|alimentazione|zasilanie|питание|alimentação|napięci[ea] zasilania|zasilania|напряжение питания|питания|napájecí napětí|napájení|voedingsspanning|voeding|matningsspänning|tensão de alimentação'],
  ['to ground', '(?:nach|gegen|an|zu) masse|à la masse|a masa|a massa'],
  ['ground', 'masse|masa|massa|tierra|земля|общий|terra|uzemnění|aarde|общий вывод|земл[июе]'],
  ['input', 'eingang|entrée|entrada|ingresso|wejście|вход|entrada|wejściow[yae]|vstup|ingang|ingång|входной'],
  ['output', 'ausgang|sortie|salida|uscita|wyjście|выход|saída|wyjściow[yae]|výstup|uitgang|utgång|выходной|выхода|выходом'],
  ['passive', 'passiv|passif|pasivo|passivo|пассивный'],
  ['reserved', 'reserviert|réservé|reservado|riservato|зарезервирован|zarezerwowan[yae]|rezervováno|gereserveerd'],
  ['clock', 'takt|horloge|reloj|тактовый|relógio|zegar(?:owy|a)?|hodiny|hodinový|тактов(?:ая|ого)'],
  ['transmit data', 'sendedaten'],
  ['receive data', 'empfangsdaten'],
  ['from the', 'vom'],
  ['to the', 'zum'],
  ['data', 'daten|données|datos|dati|данные|dados|dane|danych|данных'],
  ['enable', 'freigabe|habilitación|abilitazione|habilita(?:ção)?|zezwolenie|povolení'],
  ['capacitor', 'kondensator|condensateur|condensador|condensatore|конденсатор'],
  ['non-inverting', 'nicht-?invertierende[rs]?|non[ -]inverseu(?:se|r)|no inversora?|non invertente|não inversora?|nieodwracając[yae]|неинвертирующий'],
  ['inverting', 'invertierende[rs]?|inverseuse|inversora|invertente|inversora?|odwracając[yae]|инвертирующий'],
  ['cathode', 'kathode|cátodo|catodo'],
  ['anode', 'ánodo|anodo'],
  ['collector', 'kollektor|collecteur|colector|collettore'],
  ['base', 'basis'],
  ['emitter', 'émetteur|emisor|emettitore'],
  ['positive', 'positiver|positif|positiv[ao]|dodatnie|положительн(?:ый|ая|ое)|kladn[ýé]'],
  ['negative', 'negativer|négati(?:ve|f)|negativ[ao]|ujemne|отрицательн(?:ый|ая|ое)|záporn[ýé]'],
  ['resistor', 'widerstand|résistance|resistencia|резистор'],
]; // prettier-ignore

const replacements = (lists: [english: string, words: string][], split: RegExp) =>
  new Map(lists.flatMap(([english, words]) => words.split(split).map((word) => [word, english] as const)));
const DENSE = replacements(WITHOUT_BLANKS, / /);
/** Korean parts its words at will, and Japanese long ones: `오픈 드레인`. */
const parted = (word: string): string => (/[\uac00-\ud7af]{4}|[\u30a0-\u30ff]{7}/.test(word) ? [...word].join(' ?') : word);
const DENSE_WORD = new RegExp([...DENSE.keys()].sort((a, b) => b.length - a.length).map(parted).join('|'), 'g'); // prettier-ignore
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
      .replace(DENSE_WORD, (word) => ` ${DENSE.get(word.replace(/ /g, ''))!} `)
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
