/** Ways of saying in messages, as expressions: which sentences ask for something, and which only tell. */

export const ALL_DAY =
  /\b(?:all\s+day|whole\s+day|closed|closure|holidays?|on\s+leave|away|out\s+of\s+(?:the\s+)?office|shut|annual\s+leave|bank\s+holiday|exhibition|fair|conference|stocktake|stock-take|festival|regatta)\b/i;
export const DEADLINE =
  /\b(?:by|before|due|deadline|no\s+later\s+than|not\s+later\s+than|at\s+the\s+latest|latest|until|till|closing\s+date)\b/i;
export const DEADLINE_AT =
  /\b(?:by|before|due(?:\s+(?:on|by|for))?|no\s+later\s+than|not\s+later\s+than|until|till|deadline(?:\s+(?:is|for\s+[\w\s]{1,40}?(?:\s+is)?|[\w\s]{1,40}?\s+to))?:?|closing\s+date(?:\s+is)?:?|latest)\s+(?:the\s+)?(?:end\s+of\s+(?:the\s+)?(?:(?:day|business|play)\s+)?(?:on\s+)?|close\s+of\s+\w+\s+(?:on\s+)?|noon\s+(?:on\s+)?|(?:cob|eod|eob|cop)\s+(?:on\s+)?)?(?:on\s+)?(?:at\s+)?(?:mon|tue|wed|thu|fri|sat|sun|today|tonight|tomorrow|the\s+\d|\d|next\s|this\s|noon|midday|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/i;
export const REQUEST =
  /\b(?:please|could\s+you|can\s+you|would\s+you|need|needs|must|have\s+to|has\s+to|send|return|sign|order|pay|payment|reply|confirm|let\s+(?:me|us)\s+know|submit|fill|complete|check|prepare|review|deliver|remember|don[’']t\s+forget|due|deadline|required|remind|get\s+back|finish|update|book)\b/i;
export const CALLED_OFF =
  /\b(?:cancel(?:l?ed|s|ling)?|called?\s+off|calling\s+off|won[’']t\s+(?:happen|take\s+place|go\s+ahead)|will\s+not\s+(?:happen|take\s+place|go\s+ahead)|is\s+off\b|not\s+taking\s+place|no\s+(?:meeting|call|class|delivery|sailing)\b)\b/i;
/** A time that is only named to be turned down. */
export const TURNED_DOWN =
  /\b(?:is\s+(?:bad|out|full|impossible|no\s+good|not\s+(?:good|great|ideal|possible))|not\s+possible|(?:won[’']t|will\s+not)\s+(?:be\s+able|make|manage)|(?:un|not\s+)able\s+to|no\s+good|(?:does\s+not|doesn[’']t|do\s+not|don[’']t)\s+(?:suit|work|fit)|(?:i\s+am|i[’']m|we\s+are|we[’']re)\s+(?:busy|booked|away|out|not\s+(?:free|available|there|in))|can(?:[’']t|not)\s+(?:make|come|do|manage|attend)|clashes|too\s+(?:early|late|soon))\b/i;
/** From a time until another: no deadline. */
export const HOURS_UNTIL =
  /\b(?:from\s+)?\d{1,2}(?:[:.]\d{2})?\s*(?:[ap]\.?m\.?)?\s*(?:until|till)\s+(?=\d)/gi;
export const UNCERTAIN =
  /\b(?:maybe|perhaps|might|possibly|tentative(?:ly)?|provisional(?:ly)?|roughly|approx\w*|or\s+so|(?:around|(?<!how\s)(?<!what\s)about)\s+(?:the\s+)?(?:\d|noon|midday|mon|tue|wed|thu|fri|sat|sun)\w*|from\s+\d[\w:.]*\s+on)\b|\bafter\s+\d|\dish\b/i;
/** Names what takes place. */
export const NOUN =
  /\b(?:(?:phone|video|conference|board|team|staff|site|planning|budget|stock|safety)\s+)?(?:call|meeting|lunch|tea|coffee|dinner|supper|breakfast|class|course|visit|survey|delivery|review|interview|appointment|workshop|webinar|seminar|lecture|demo|briefing|kick-?off|stand-?up|drill|session|party|concert|ceremony|get-together|rehearsal|talk|exam|handover|inspection|training|chat|tour|fair|conference)\b/i;
export const TITLE_AFTER =
  /\b(?:please|could\s+you|can\s+you|would\s+you|need\s+to|have\s+to|must|remember\s+to|don[’']t\s+forget\s+to|to)\s+(?:also\s+|kindly\s+|please\s+)?(.+)$/i;
export const COME_BY =
  /\b(?:com(?:e|ing)|came|drop(?:ping)?|pop(?:ping)?|stop(?:ping)?|pass(?:ing)?|swing(?:ing)?|call(?:ing)?)\s+by\b/gi;
export const PAST =
  /\b(?:was|were|met|sent|arrived|had|came|received|shipped|spoke|talked|called|wrote|left|went|visited|delivered|installed|happened|took\s+place|thank(?:s|\s+you)\s+for\s+(?:the|your)|agreed\s+last|yesterday|last\s+(?:week|month|year|mon|tue|wed|thu|fri|sat|sun)|dated|since|ago)\b/i;
export const COMING =
  /\b(?:will|shall|can|could|would|let[’']s|please|is\s+(?:moved|set|planned|on)|are|meet|see\s+you|moved?|new\s+(?:date|time)|works?|suits?|fine|free|available|come|coming|visit|call\s+(?:you|me)|now|next|it\s+is|has\s+been|have\s+been)\b/i;
export const USUAL_HOURS =
  /\b(?:opening\s+hours|office\s+hours|\bopens?\b.*\bmon(?:day)?\s*(?:-|to)|we\s+are\s+open|(?:is|are)\s+open\b[^.]*\b(?:weekdays|daily|every\s+day|mon)|open\s+(?:from|daily|mon)|hours:|part-?time|working\s+days\s+are|phone\s+hours|valid\s+(?:until|till|to))\b/i;
export const AGREES =
  /\b(?:yes|yep|ok|okay|agreed|works|that\s+suits|suits\s+(?:me|us)|fine|perfect|great|confirmed?|see\s+you\s+then|looking\s+forward|will\s+be\s+there|count\s+me\s+in|good\s+(?:for|with)|happy\s+with|done\s+deal|sounds\s+good)\b/i;
export const CLOCK_SAID =
  /\d{1,2}\s*[:.h]\s*\d{2}|\d\s*(?:am|pm|a\.m|p\.m)\b|o'clock|\bnoon\b|\bmidday\b|\bmidnight\b|\b\d{1,2}\s?h\b|\bhalf\s+(?:past\s+)?\w|\bquarter\s+(?:past|to)\b|\b\d{1,2}\s*(?:til|till|until|to|-)\s*\d{1,2}\b|\b(?:at|from|between|until|till|by|-|to|or)\s*\d{1,2}\b|\bin\s+(?:\d+|an?|half\s+an)\s+(?:min|hour)|\d{4}\b|\d\s+(?:on|today|tomorrow)/i;
export const EXPLICIT =
  /\d{1,2}(?:st|nd|rd|th)?\s+(?:of\s+)?(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)|(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?\s+\d|\d{4}-\d{2}-\d{2}|\d{1,2}[/.]\d{1,2}[/.]\d{2,4}|\d{1,2}\/\d{1,2}/i;
/** The end of a working day. */
export const DAY_END =
  /\b(?:eod|eob|cob|cop|end\s+of\s+(?:the\s+)?(?:day|business|play)|close\s+of\s+(?:business|play))\b/i;
export const WITH_YEAR = /\b20\d{2}\b|\d{1,2}[/.]\d{1,2}[/.]\d{2}/;
export const WEEKDAY_SAID = /\b(mon|tue|wed|thu|fri|sat|sun)[a-z]*\b/i;
export const OR = /\b(?:or|alternatively|either)\b/i;
/** What is said by who sends something on. */
export const POINTS_BELOW =
  /\b(?:fyi|for\s+(?:your\s+)?information|see\s+below|below|forward(?:ing|ed)?|pass(?:ing)?\s+(?:it|this)\s+on|(?:to|this)\s+(?:this\s+)?too|as\s+well)\b/i;
