/** The safety questions as they are asked, their short names, and what is said after a yes. */
export const safety = {
  freshInjury: { ask: "إصابة حديثة في اليد أو المعصم أو الذراع، أو شيء يبدو خارج مكانه؟", short: "إصابة حديثة" },
  hotJoint: { ask: "مفصل ساخن أو أحمر أو متورم، مع حمى أو شعور بالمرض؟", short: "مفصل ساخن أو متورم" },
  paleHand: { ask: "يد أو إصبع تشحب أو تزرق أو تبرد؟", short: "يد شاحبة أو زرقاء أو باردة" },
  growingWeakness: { ask: "ضعف يزداد، أو سقوط الأشياء من اليد؟", short: "ضعف يزداد" },
  lastingNumbness: { ask: "خدر لا يزول، أو يوقظك مرة بعد مرة؟", short: "خدر دائم" },
  bothArmsUnsteady: { ask: "أعراض في الذراعين معًا مع مشي غير ثابت؟", short: "الذراعان، مشي غير ثابت" },
  chestPain: { ask: "أعراض في الذراع مع ألم في الصدر أو ضيق في التنفس؟", short: "ألم في الصدر أو ضيق تنفس" },
  surgeryOrFracture: { ask: "عملية أو كسر هناك، من دون إذن مختص طبي منذ ذلك الحين؟", short: "عملية أو كسر" },
  pregnancyNumbness: { ask: "حمل، مع خدر جديد في اليدين؟", short: "حمل مع خدر جديد" },
  inflammatoryJoints: { ask: "مرض التهابي في المفاصل؟", short: "مرض التهابي في المفاصل" },
  knownEntrapment: { ask: "انضغاط عصب معروف في الذراع أو اليد؟", short: "انضغاط عصب معروف" },
  neckInjury: { ask: "إصابة في الرقبة، حديثة أو قديمة؟", short: "إصابة في الرقبة" },
  anticoagulants: { ask: "مميعات دم، أو جلد يتكدم أو يتمزق بسهولة؟", short: "مميعات دم أو جلد هش" },
  tapeReaction: { ask: "رد فعل جلدي على الشريط اللاصق أو اللصقات؟", short: "رد فعل جلدي على اللاصق" },
  sharpPain: { ask: "ألم حاد، قيل أو شوهد؟", short: "ألم حاد" },
  other: { ask: "شيء آخر؟", short: "شيء آخر" },
  hypermobility: { ask: "مفاصل كثيرة الحركة: الإبهام إلى الساعد، والمرفقان ينثنيان إلى الخلف؟", short: "مفاصل كثيرة الحركة" },
} as const;

/** What stands on a referral note, and what is said when somebody is held out. */
export const referral = {
  title: "يرجى فحص هذا",
  opening: "يشارك {{name}} في العمل في برنامج وقاية لليدين والساعدين. بتاريخ {{date}} أُعطيت هذه الإجابات:",
  felt: "أين يُشعر بشيء",
  answeredYes: "{{question}} نعم.",
  feltThere: "{{side}}، {{place}}: {{kind}}، {{level}} من ١٠",
  feltSince: "منذ {{day}}",
  constant: "طوال الوقت",
  request: "إلى أن يرى مختص طبي هذا، لا يشارك {{name}} في: {{items}}. يرجى أن تكتبوا ما يُسمح لـ {{name}} بفعله وحتى متى.",
  everything: "جميع تمارين البرنامج",
  someItems: "التمارين المعنية",
  answer: "يملؤه المختص الطبي",
  mayDo: "يُسمح: إحماء / حركة / تمديد / انزلاق الأعصاب والأوتار / تقوية / تدليك ذاتي",
  until: "من ____________  حتى ____________",
  signed: "الاسم، المهنة، التوقيع",
  notDiagnosis: "هذه الورقة تصف ما قيل وما قيس. وليست تشخيصًا.",
  emergency: "ألم في الصدر أو ضيق في التنفس: اتصل برقم الطوارئ المحلي الآن.",
  stopNow: "توقف وأحِل: لا تمرين إلى أن يأذن مختص طبي.",
} as const;

export const symptom = {
  kind: {
    ache: "وجع",
    sharpPain: "ألم حاد",
    stiffness: "تيبس",
    tingling: "تنميل",
    numbness: "خدر",
    weakness: "ضعف",
    swelling: "تورم",
  },
  nights: { never: "ليس في الليل أبدًا", sometimes: "بعض الليالي", mostNights: "معظم الليالي" },
} as const;
