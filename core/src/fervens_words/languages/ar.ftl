# العربية كما يقولها أهل المهنة. The same messages as in en.ftl, which says what each function does.

## Words of the trade

undertone-deep_red_brown = بني محمر داكن
undertone-red_brown = بني محمر
undertone-red = أحمر
undertone-red_orange = أحمر برتقالي
undertone-orange = برتقالي
undertone-yellow_orange = أصفر برتقالي
undertone-yellow = أصفر
undertone-pale_yellow = أصفر فاتح
undertone-palest_yellow = أصفر شاحب جدا
dye_family-yellow = أصفر
dye_family-orange = برتقالي
dye_family-red = أحمر
dye_family-violet = بنفسجي
dye_family-blue = أزرق
dye_family-green = أخضر
dye_hue-red = أحمر
dye_hue-pink = وردي
dye_hue-orange = برتقالي
dye_hue-yellow = أصفر
dye_hue-green = أخضر
dye_hue-blue = أزرق
dye_hue-violet = بنفسجي
covering-open_air = في الهواء
covering-foil = ورق قصدير
covering-film = غلاف شفاف
history-virgin = طبيعي
history-tinted = مصبوغ
history-lightened = مفتح
history-direct_dye = صبغة مباشرة
history-henna = حناء
history-metallic = أملاح معدنية
history-unknown = غير معروف
tone-icy = ثلجي
tone-cool = بارد
tone-neutral = محايد
tone-beige = بيج
tone-warm = دافئ
tone-gold = ذهبي
tone-copper = نحاسي
tone-red_brown = بني محمر
tone-rose = زهري
tone-silver = فضي
tone-pearl = لؤلؤي
tone-pastel = باستيل
thickness-fine = رفيع
thickness-medium = متوسط
thickness-coarse = سميك
porosity-low = منخفضة
porosity-normal = عادية
porosity-high = عالية
pastel-rose = وردي باستيل
pastel-peach = خوخي
pastel-mint = نعناعي
pastel-sky = سماوي
pastel-lilac = ليلكي
elasticity-returns = يرجع
elasticity-slow = بطيء
elasticity-stays_stretched = يبقى ممدودا
elasticity-snaps = ينقطع
reading_mode-through_product = من خلال المنتج
reading_mode-wiped = ممسوح
reading_mode-rinsed_wet = مشطوف رطب
reading_mode-dry = جاف
grab-little = قليل
grab-even = متساو
grab-much = كثير
hue-grey = رمادي
hue-pink = وردي
hue-red_warm = دافئ محمر
hue-orange_warm = دافئ برتقالي
hue-golden = ذهبي
hue-yellow = أصفر
hue-khaki_warm = دافئ كاكي
hue-green = أخضر
hue-blue = أزرق
hue-violet = بنفسجي
hue-faint = { $hue  } خفيف
counter-red_or_pink = أحمر أو وردي
counter-two = { $first }-{ $second }
head-low_back = أسفل الخلف
head-high_back = أعلى الخلف
head-left_back = الخلف الأيسر
head-right_back = الخلف الأيمن
head-crown = قمة الرأس
head-left_side = الجانب الأيسر
head-right_side = الجانب الأيمن
head-top = أعلى الرأس
head-nape = القفا
head-fringe = الغرة
head-left_temple = الصدغ الأيسر
head-right_temple = الصدغ الأيمن
part-lengths = الأطوال
part-regrowth = النمو الجديد
part-root = الجذر
part-ends = الأطراف
part-band = الشريط
span-minutes = { $minutes } دقيقة
span-hours = { $hours } س
span-both = { $hours } س { $minutes }
vol = { PLAIN($volume) } فول
lane-part = { $zone } { $part }
lane-part_at = { $zone  } { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane_part-at = { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane-piece = { $lane }, { $piece }
lane-again = { $lane  } مرة أخرى
lane-shadow = { $lane  }، ظل الجذر
lane-because = { $lane }: { $why }
lanes = { $lanes }
lanes-more = { $lanes  } و{ WHOLE($more) } أخرى

## Cautions: a title, and what to do

caution = { $title }. { $advice }
caution-scalp_broken = فروة الرأس مجروحة أو ملتهبة أو محروقة بالشمس
    .advice = لا تفتيح. موعد جديد بعد أن تشفى.
caution-elasticity = { $elasticity ->
        [snaps] الخصلة الرطبة تنقطع
       *[stays_stretched] الخصلة الرطبة تبقى ممدودة
    }
    .advice = لا تفتيح. عناية وقص أولا، ثم اختبار جديد.
caution-metallic_salts = اختبار الأملاح إيجابي
    .advice = لا تفتيح: الأملاح المعدنية تتفاعل بعنف مع البيروكسيد. يجب أن ينمو الشعر من جديد.
caution-build_up = تراكم منتجات منزلية
    .advice = نظف أولا: اغسل التراكم ثم اقرأ الشعر من جديد وعلّم عليه.
caution-scalp_sensitive = فروة حساسة
    .advice = ابتعد عن الفروة؛ توقف عند أول حرقة.
caution-elasticity_slow = الخصلة الرطبة ترجع ببطء
    .advice = مؤكسد أضعف، وقت أقصر، اختبار خصلة.
caution-patch_test_open = لا اختبار حساسية مقروء بعد { WHOLE($wait) } ساعة
    .advice = التونر المؤكسد يبقى مقفلا؛ خطط لآخر غير مؤكسد أو احجز التونر لاحقا.
caution-reaction_open = ذُكرت حساسية أو رد فعل ولم يُسأل عنها
    .advice = اسأل: من صبغة مؤكسدة؟ أجب بنعم أو لا بجانبه؛ وحتى ذلك لا تخطيط ولا تونر.
caution-allergies = حساسيات مذكورة
    .advice = «{ $told  }»: راجع كل ملصق.
caution-medication = أدوية مذكورة
    .advice = بعض الأدوية تغير الجلد والشعر: اختبار خصلة، واسأل طبيبا عند الشك.
caution-under_16 = تحت سن { WHOLE($age) }
    .advice = الصبغة المؤكسدة غير مخصصة لمن هم دون { WHOLE($age) }؛ والأنظمة المحلية تقرر الباقي.
caution-metallic_history = أملاح معدنية في تاريخ الشعر
    .advice = لا تفتيح. هذا الشعر يجب أن ينمو أو يُقص.
caution-henna_untested = حناء بلا اختبار أملاح
    .advice = أجر اختبار الأملاح على خصلة مقصوصة قبل أي شيء.
caution-unknown_untested = تاريخ غير معروف بلا اختبار أملاح
    .advice = أجر اختبار الأملاح على خصلة مقصوصة قبل أي شيء.
caution-henna = الحناء تفتح قليلا وبتفاوت
    .advice = اختبار خصلة أولا؛ وعِد بأقل.
caution-elasticity_zone = يبقى ممدودا أو ينقطع: { $lanes  }
    .advice = اتركها، أو قص واعتن أولا ثم اختبر من جديد.
caution-breakage = شعر يتكسر: { $lanes  }
    .advice = اتركها؛ قص واعتن أولا.
caution-frail = ليس سليما تماما: { $lanes  }
    .advice = هناك { WHOLE($most) } فول كحد أقصى، لوقت قصير، وانظر كثيرا.
caution-direct_dye = أخضر أو أزرق قديم: { $lanes  }
    .advice = 1.5 % فقط، عدة زيارات؛ اترك الخصل البنية؛ عادل بقية الأخضر بالأحمر أو الوردي.
caution-delicate = شعر رقيق: { $lanes  }
    .advice = يفتح بسرعة ويتكسر: { WHOLE($most) } فول كحد أقصى، متأخرا، وليس طوال الوقت أبدا.
caution-frail_toned = شعر يتكسر أو يبقى ممدودا
    .advice = غسول صبغي وأضعف مؤكسد فقط؛ العناية أولا.
caution-lightened = شعر سبق تفتيحه
    .advice = لا تتداخل أبدا مع شعر فاتح؛ ابق على النمو الجديد.
caution-white_in_one = أبيض من درجة دون { WHOLE($least) }
    .advice = واقعي في زيارة واحدة من درجة { WHOLE($least) } فما فوق؛ اتفق على زيارتين أو هدف أدنى.
caution-long_regrowth = نمو جديد يزيد على { LENGTH($most) }: { $lanes  }
    .advice = وضعتان للجذر في الخطة: بعيدا عن الفروة أولا، ثم آخر { LENGTH($most) }.
caution-old_ash = بقية بنفسجية أو زرقاء: { $lanes  }
    .advice = أخرجها قبل التفتيح بمنتج قديم مع شامبو أو بمزيل؛ فهي تخفي الدرجة.
caution-uneven_ground = نوعان من الشعر إلى درجة واحدة: { $zones  }
    .advice = الشعر ذو الخصل إذا فُتح كله يبقى متفاوتا: قل ذلك أو أعط كل نوع رغبته.
caution-curl = التجعيد يرتخي مع التفتيح: { $lanes  }
    .advice = أخبر العميل؛ مشط كل مقطع وأضف منتجا حيث امتصه الشعر.
caution-grey = شيب بينه، { PERCENT($share) }: { $lanes  }
    .advice = الشيب يبقى أفتح: قرّب الباقي منه وتوقعه أبرد بعد التونر.
caution-piece_base = أبق قاعدة القطعة نظيفة
    .advice = المنتج على العقد أو الدانتيل أو الدرزات ينفذ ويضعفها: ابدأ بعيدا عن القاعدة واعمل بشكل مسطح.
caution-fill_first = أغمق بأكثر من { WHOLE($most) } درجات: { $lanes  }
    .advice = املأ بصبغة دافئة أولا، وإلا بهت أخضر ومبقعا خلال أيام.
caution-no_strand_test = لا اختبار خصلة
    .advice = الشعر المعالج من قبل يفتح بطريقته: اختبر خصلة مخفية، والخطة تتعلم منها.
caution-professional_use = الملصق، القفازات، الهواء
    .advice = اتبع ملصق المنتج وورقة بياناته؛ قفازات وهواء نقي واخلط المسحوق بلا غبار. عند الحرقة: ماء بارد فورا. العينان: اشطف 15 دقيقة واطلب المساعدة.
caution-toning_use = الملصق، القفازات، الجلد
    .advice = اتبع ملصق التونر وورقة بياناته؛ قفازات وكريم عازل وبلا حرارة. عند الحرقة: ماء بارد فورا. العينان: اشطف 15 دقيقة واطلب المساعدة.
toner_block-dye_reaction = تحسس من صبغة مؤكسدة
    .advice = شامبو وبلسم صبغي فقط.
toner_block-under_16 = تحت سن { WHOLE($age) }
    .advice = الصبغة المؤكسدة غير مخصصة لمن هم دون { WHOLE($age) }.
toner_block-reaction_open = ذُكرت حساسية أو رد فعل
    .advice = اسأل إن كان من صبغة مؤكسدة وأجب في الاستشارة؛ وحتى ذلك شامبو صبغي فقط.
toner_block-patch_test = اختبار الحساسية غير مقروء
    .advice = ضعه واقرأه بعد { PLAIN($wait) } ساعة، أو خذ لونا غير مؤكسد.
toner_block-patch_test_old = اختبار الحساسية قديم
    .advice = ضع اختبارا جديدا واقرأه بعد { PLAIN($wait) } ساعة.
toner_block-patch_test_early = اختبار الحساسية أحدث من { PLAIN($wait) } ساعة
    .advice = انتظر، أو خذ لونا غير مؤكسد.

## What sets how strong a developer may be

volume_limit-hair = { WHOLE($most) } فول هو الأقصى للشعر
volume_limit-label = ملصق { $product  }
volume_limit-scalp = على الفروة، ملصق { $product  }
volume_limit-delicate = شعر رقيق
volume_limit-lightened = شعر سبق تفتيحه
volume_limit-porous = شعر مسامي
volume_limit-fine = شعر رفيع
volume_limit-frail = شعر ليس سليما تماما
volume_limit-old_dye = الصبغة المباشرة القديمة تُزال بـ 1.5 %
volume_limit-strongest_bottle = أقوى زجاجة على الرف
volume_limit-gentle = الهدف اللطيف

## What may go on today

stop-scalp_burns = الفروة تحترق: اشطف فورا بماء بارد
stop-hair_gives = { $elasticity ->
        [snaps] الشعر ينقطع: اشطف فورا
       *[stays_stretched] الشعر يبقى ممدودا: اشطف فورا
    }
heat_block-label = ملصق { $product  } لا يسمح بالحرارة.
heat_block-scalp = هذه المنطقة تصل إلى الفروة: لا حرارة على الجلد.
refresh_block-label = ملصق { $product  } يسمح بعدد من الوضعات في الزيارة: { WHOLE($most) }.
again_block-toned = تم وضع التونر عليه
again_block-scalp_burns = الفروة تحترق: اشطف فورا بماء بارد
again_block-hair_gives = { $elasticity ->
        [snaps] الشعر ينقطع: اشطف فورا
       *[stays_stretched] الشعر يبقى ممدودا: اشطف فورا
    }
again_block-elasticity = الشعر لا يرجع ببساطة بعد الشد
again_block-scalp = شعرت الفروة
again_block-twice = فُتح مرتين اليوم
again_block-contact = عليه منتج { WHOLE($minutes) } دقيقة اليوم؛ بعد { WHOLE($most) } دقيقة يُترك بسلام
again_block-label = ملصق { $product  } يسمح بعدد من الوضعات في الزيارة: { WHOLE($most) }
again_block-no_gain = لا مؤكسد يكسب ما يكفي ضمن حدوده
again_block-little_gain = لن يصل إلا إلى { TENTHS($end) }

## The strand bench

head_move-as_expected = هذا الرأس يفتح كما هو متوقع
head_move-moved = هذا الرأس يفتح { $ways  } من المتوقع
head_move-far_more = أبعد بنسبة { WHOLE($percent) } %
head_move-far_less = أقل بنسبة { WHOLE($percent) } %
head_move-fast_more = أسرع بنسبة { WHOLE($percent) } %
head_move-fast_less = أبطأ بنسبة { WHOLE($percent) } %

## The verdict

verdict_title-unread = اقرأ الرأس
verdict_title-today = ابدأ اليوم
verdict_title-tone = تونر اليوم
verdict_title-deepen = تغميق اليوم
verdict_title-strand_test = اختبر الخصل اليوم
verdict_title-clarify = نظف أولا
verdict_title-not_today = ليس اليوم
verdict_title-never = ليس في ست زيارات
verdict_title-more_time = وقت أطول أو زيارتان
verdict_title-visits = على زيارات: { WHOLE($visits) }
verdict-undertone = { $zone  }: قُرئ { LEVEL($read) }، لكن { $seen  } هو ما تظهره درجة { WHOLE($nearest) }: اقرأ من جديد جافا.
verdict-stays = { $lane  }، من { LEVEL($start) } إلى { LEVEL($target) }: يبقى قرب { TENTHS($level) } بعد { WHOLE($visits) } زيارات. اخفض الرغبة.
verdict-more_visits = { $lane  }، من { LEVEL($start) } إلى { LEVEL($target) }: عِد بـ { TENTHS($sure) } اليوم (الأرجح { TENTHS($level) })، والرغبة في الزيارة { WHOLE($visit) }.
verdict-two_rounds = جولتان اليوم حيث يسمح الملصق: { $lanes  } مرة أخرى بعد الشطف إلى نحو { TENTHS($level) }.
verdict-every_zone = كل منطقة تصل اليوم إلى درجتها ضمن وقت الملصق.
verdict-unsure = { $lane  }: عِد بـ { TENTHS($sure) } وارجُ { TENTHS($likely) }. اختبار الخصلة يضيق ذلك.
verdict-time = نحو { SPAN($needed) } على الكرسي.
verdict-time_long = نحو { SPAN($needed) } على الكرسي: يوم طويل للاثنين. مناطق أقل أو زيارتان أو يدان إضافيتان.
verdict-time_within = نحو { SPAN($needed) } على الكرسي؛ { $of ->
        [booked] المحجوز { SPAN($limit) }
       *[has] لدى العميل { SPAN($limit) }
    }.
verdict-time_over = نحو { SPAN($needed) } على الكرسي، { $of ->
        [booked] المحجوز { SPAN($limit) }
       *[has] لدى العميل { SPAN($limit) }
    }: مناطق أقل أو وقت أطول أو زيارتان.
verdict-no_patch_test = لا اختبار حساسية سليم: اليوم تونر غير مؤكسد فقط.
verdict-empty_shelf = لا مفتح أو لا مؤكسد على الرف: لا يمكن التخطيط.
verdict-tone_parts = الأجزاء الذاهبة إلى المغسلة كما قُرئت: { WHOLE($parts) }؛ لا تفتيح.
verdict-deeper = { $lanes  }: أغمق بـ { LEVEL($levels) } درجات كحد أقصى، بعيدا عن الفروة إن أمكن.
verdict-nothing_deeper = لا شيء مطلوب أغمق: حدد درجة أغمق لمنطقة أو جزء.
verdict-strand_test = الخصل المذكورة: { WHOLE($strands) }؛ جهزها على طاولة الخصل، لكل منها مؤكسدها؛ ولا تفتيح لغيرها.
verdict-old_dye = الأخضر أو الأزرق القديم يبهت على عدة زيارات: { $lanes  }. ما يبقى اليوم يُعادل بقليل من الأحمر أو الوردي.
verdict-nothing_to_lift = لا منطقة للتفتيح: حدد درجة أفتح أو انتقل إلى التونر.
reach-all = الكل إلى { LEVEL($level) }
reach-lanes = { $lanes  } إلى { LEVEL($level) }
reach-many = مناطق ({ WHOLE($count) }) إلى { LEVEL($level) }
chair_time-consultation = الاستشارة والخلط
chair_time-applying = الوضع
chair_time-between = مرات المغسلة بينها
chair_time-again = جولة ثانية
chair_time-processing = المعالجة وتبديل المناطق
chair_time-rinse = آخر شطف
chair_time-tone = التونر
chair_time-care = العناية
chair_time-drying = التجفيف

## The plan

order-coarse = الشعر السميك يقاوم: أولا
order-low_porosity = المسامية المنخفضة تقاوم: أولا
order-history = الشعر ({ $history  }) يقاوم: أولا
order-delicate = رقيق: أخيرا وأضعف
order-usual = بالترتيب المعتاد، من الخلف إلى الأمام
order-cools = يبرد في الهواء: أولا
kept-at_level = يبقى كما هو عند { LEVEL($level) }
kept-left_out = متروك، بلا منتج
kept-deeper = يُغمق إلى { LEVEL($level) } بالتونر
plan-meeting = { $meeting ->
        [soft] خط الالتقاء ناعم: دمّج الحافة فوقه وانظر عند الالتقاء كل 10 إلى 15 دقيقة.
       *[jagged] خط الالتقاء متعرج: قف دونه واتبعه شعرة شعرة وانظر هناك كل 10 إلى 15 دقيقة.
    }
plan-two_root_lanes = { LENGTH($regrowth) } من النمو تترك شريطا في وضعة واحدة تتجاوز { LENGTH($most) }: بعيدا عن الفروة أولا، ثم آخر { LENGTH($most) }.
aim_why-simple = { $strengths  } فول، الأوعية: { WHOLE($bowls) }.
aim_why-simple_beside = { $strengths  } فول على الكل؛ { $other  } يوفر { WHOLE($minutes) } دقيقة.
aim_why-gentle = تلامس أقل بـ { PERCENT($share) } من البسيط.
aim_why-even = الكل ضمن { TENTHS($levels) } درجة من رغبته فيما بينها، و{ TENTHS($other) } في البسيط.
aim_why-quick = أبكر بـ { WHOLE($minutes) } دقيقة من البسيط.
plan-held = طُلب { PLAIN($asked) } فول، ثُبّت على { PLAIN($volume) } ({ $limit  }).
plan-raised = طُلب { PLAIN($asked) } فول، رُفع إلى { PLAIN($volume) } (أضعف زجاجة على الرف).
plan_short-stronger = { PLAIN($volume) } فول لا يفتح إلى هذا الحد؛ يُسمح هنا حتى { PLAIN($most) } فول.
plan_short-stops = هذا الشعر يقصر مع { PLAIN($volume) } فول ({ $limit  }): اخفض الهدف أو خطط زيارة أخرى.
plan-known_head = { $visits ->
        [one] الزيارة الأخيرة
       *[other] الزيارات: { $visits  }
    }: { $move  }
plan_short-stalls = شعر كهذا يتوقف قرب { TENTHS($level) } في زيارة واحدة مهما طال الوقت: خطط زيارة أخرى أو اخفض الهدف.
plan_short-label = تنتهي { PLAIN($label) } دقيقة الملصق قبل إتمام آخر مقاطعها: اعمل بصفوف أو مقاطع أقل أو زيارة أخرى.
plan_short-later_or_stronger = { PLAIN($volume) } فول يحتاج وقتا أطول؛ يُسمح هنا حتى { PLAIN($most) } فول.
plan_short-later = { PLAIN($volume) } فول ({ $limit  }) يحتاج أطول مما تتيحه مرة المغسلة.
left_out-no_weak_bottle = { $why  } يسمح بـ { PLAIN($most) } فول، وأضعف زجاجة { PLAIN($weakest) } فول: ضع أضعف منها على الرف.
mix-add_developer = { TENTHS($volume) } فول بدل { PLAIN($wanted) }: أضف { WEIGHT($grams) } من { PLAIN($bottle) } فول.
mix-anew = { TENTHS($volume) } فول بدل { PLAIN($wanted) }: اخلط من جديد.
mix-thin = رخو، 1 : { HUNDREDTHS($parts) }: أضف { WEIGHT($grams) } من المفتح.
mix-thick = كثيف، 1 : { HUNDREDTHS($parts) }: أضف { WEIGHT($grams) } من المؤكسد.

## The chair

advice-label_up = انتهى وقت الملصق: اشطف الآن
advice-ready = جاهز: اشطف هذه المنطقة
advice-leave = اتركه
advice-leave_sure = اتركه؛ عندها مؤكد بما يكفي للشطف
advice-leave_as_sure_as = اتركه؛ نظرة أخرى لن تضيف شيئا
advice-misfit = هذه القراءات لا تتوافق: امسح وجفف واقرأ من جديد
advice-leave_to_label = اتركه حتى وقت ملصقه
advice-read = امسح واقرأ
advice-read_first = امسح واقرأ أول ورقة
advice-stops_near = يتوقف قرب { TENTHS($level) } عند وقت الملصق: خطط لتونر أغمق أو زيارة أخرى
advice-stops_near_help = يتوقف قرب { TENTHS($level) } عند وقت الملصق: { $ways  } أو زيارة أخرى
short_help-refresh = جدده
short_help-warm = دفئه
short_help-deeper = تونر أغمق
act-stop = اشطف { $lane  } الآن
act-rinse = اشطف { $lane  }
act-wipe_out = امسح المنتج عن { $lane  }
act-dry_out = جفف أو امسح { $lane  }
act-rinse_two = اشطف { $lanes  }
act-rinse_together = اشطف معا، المناطق: { WHOLE($count) }
act-read = امسح واقرأ { $lane  }
act-short = { $lane  } سيقصر
act-finish = أكمل وضع { $lane  }
act-finish_refresh = أكمل المنتج الجديد على { $lane  }
act-start = ابدأ { $lane  }
act-mix = اخلط وعاء { $lane  }
act-new_bowl = وعاء جديد لـ { $lane  }
act-should_look = ينبغي أن يبدو { LEVEL($level) }، { $undertone  }
act-target = الهدف { LEVEL($target) }
act-read_again = هذه القراءات لا تتوافق: امسح وجفف واقرأ من جديد؛ { $seen  }
act-read_at = قُرئ { LEVEL($level) }؛ الهدف { LEVEL($target) }
act-read_at_last_foils = قُرئ { LEVEL($level) }؛ الهدف { LEVEL($target) }؛ آخر الأوراق، انظر إليها أولا
act-bowl_is_stale = عمر هذا الوعاء { WHOLE($age) } دقيقة ومدته { WHOLE($life) }: ما بقي يفتح أقل
act-clock_starts = { PLAIN($volume) } فول، وُضع آخر مقطع: تبدأ ساعته
act-to_apply = { PLAIN($volume) } فول، { WHOLE($minutes) } دقيقة للوضع
act-review = كل المناطق مشطوفة: المراجعة
    .detail = جفف قليلا واقرأ كل منطقة
act-basin = الآن عند المغسلة
    .detail = هناك التونر وساعاته
note-own_product = { $product }
note-misfit = اقرأ من جديد جافا
note-stray = يفتح خلاف كل شعر من نوعه
note-warmed = مدفأ
note-refreshed = { $times ->
        [1] مجدد
       *[other] مجدد، المرات: { WHOLE($times) }
    }
note-dried = جاف، متوقف
note-barrier = حاجز
note-open_air = في الهواء، يجف
note-dragged = منتج مسحوب
note-stale_bowl = وعاء قديم، يفتح أقل بـ { PERCENT($lost) }
note-scalp_warm = الفروة دافئة
note-returns_slowly = يرجع ببطء
note-last_foils = آخر الأوراق
option-refresh = جدد بـ { PLAIN($volume) } فول
option-cool = أزل الحرارة
option-warm = دفئه
option-barrier = اتركه حاجزا، وتابع الجذور
option-pull_out = أخرجه من: { $covering  }
option-cover = غطه بورق القصدير
option-drag = اسحب المنتج إلى الأطراف
option-label_runs = { $lane  }: وقت ملصقها يجري
option-dry = جففه
option-stops_at = يتوقف عند { TENTHS($level) }؛ ووقت ملصقه يستمر
effect-as_before = جاهز كما كان
effect-sooner = جاهز أبكر بـ { WHOLE($minutes) } دقيقة
effect-later = جاهز لاحقا بـ { WHOLE($minutes) } دقيقة
effect-ready_in = جاهز خلال نحو { WHOLE($minutes) } دقيقة
effect-reaches = يصل إلى { TENTHS($level) } عند وقت ملصقه
replan-change = { PLAIN($before) } ← { PLAIN($volume) } فول لـ { $lane  }
replan-lifts_more = { $lane  } يفتح أكثر بـ { PERCENT($share) } من المتوقع: { $change  }
replan-lifts_less = { $lane  } يفتح أقل بـ { PERCENT($share) } من المتوقع: { $change  }
replan-early = يوضع أبكر بـ { WHOLE($minutes) } دقيقة عن الخطة: { $change  }
replan-read = ما قُرئ يغيره: { $change  }

## The review

band = { $facts }
band-beside_zone = باقي المنطقة
band-beside_head = معظم الرأس
band-rest = بقية { $hue  } { $amount ->
        [faint] خفيفة
        [clear] واضحة
       *[strong] قوية
    }
band-darker = أغمق بـ { TENTHS($levels) } درجة من { $beside  }
band-lighter = أفتح بـ { TENTHS($levels) } درجة من { $beside  }
band-warmer = أدفأ من { $beside  }
band-cooler = أبرد من { $beside  }
band-difference = الفرق { WHOLE($difference) }
band-width = بعرض { LENGTH($mm) }
band-whole_zone = المنطقة كلها
way-tone = ضع التونر الآن
way-again = تفتيح آخر اليوم
way-visit = زيارة أخرى
way-lower = اخفض الرغبة
way_tone-on_target = على الهدف
way_tone-short = ينقص { TENTHS($short) } درجة: تونر بهذا العمق
way_tone-formula = { $formula }، { WHOLE($minutes) } دقيقة، الفرق { TENTHS($away) } عن الرغبة
way_again-gain = من { TENTHS($level) } إلى نحو { TENTHS($end) }، المنتج حتى الآن { WHOLE($so_far) } دقيقة
way_again-not_planned = لا يمكن تخطيطه، المنتج حتى الآن { WHOLE($so_far) } دقيقة
way_visit-later = تونر الآن عند { LEVEL($level) }؛ وآخر { TENTHS($short) } درجات بعد راحة الشعر
way_lower-even = الرأس كله عند { LEVEL($level) }: متساو اليوم
review-read_first = اقرأ { $lane  }{ $more ->
        [0] {""}
       *[other] {" "}و{ WHOLE($more) } أخرى
    } جافا أو رطبا أولا.
review-again = تفتيح آخر اليوم: { $lanes  }. والباقي ينتظر التونر.
review-later = تونر الآن؛ { $lanes  } يمكن أن يتقدم في زيارة أخرى.
review-on_target = الكل على الهدف: تونر الآن.

## The tone

tone-counter = { CAPITAL($undertone) } عند { LEVEL($level) }: { $counter  }؛ { $instead  } وحده يتركه { $left  }
tone-counter_rest = بقية { $rest  } على { $undertone  } عند { LEVEL($level) }: { $counter  }؛ { $instead  } وحده يتركه { $left  }
tone-empty_shelf = لا تونر على الرف.
gives_up-nearest = أقرب ما يبلغه هذا الرف
gives_up-apart = أقل تساويا بـ { TENTHS($apart) }
gives_up-away = أبعد عن الرغبات بـ { TENTHS($away) }
gives_up-worst = جزء واحد أبعد عن رغبته بـ { TENTHS($away) }
gives_up-nothing = لا يخسر شيئا
gives_up-gains = أقرب بـ { TENTHS($away) }، لا يستحق وعاء آخر
tone_act-apply = الوعاء { WHOLE($bowl) } يوضع: { $lanes  }
tone_act-stop = اشطف التونر، انتهى وقت ملصقه: { $lanes  }
tone_act-emulsify = استحلب: { $lanes  }
    .detail = يدان رطبتان، مرره عبر الأطراف
tone_act-strand = اشطف خصلة سفلية وانظر: { $lanes  }
    .detail = ثم غطها بالمنتج من جديد
tone_act-rinse = اشطف التونر: { $lanes  }
tone_act-bowl = { $formula  }، { $parts ->
        [1] { WHOLE($most) } دقيقة
       *[other] واحدا بعد آخر؛ الأول { WHOLE($most) } دقيقة والأخير { WHOLE($least) } دقيقة
    }
tone_act-should_look = ينبغي أن يبدو هكذا: { $formula  }
would_reach-shade = { $family  }، عمق { LEVEL($level) }، خلط 1:{ PLAIN($parts) }، يبلغها
would_reach-lighter = لا لون يبلغها: يجب أن يكون الشعر عند { LEVEL($level) }
would_reach-drawn_out = أخرج بقية { $rest  } أولا، عندها يبلغها
would_reach-nothing = لا لون يبلغها: اختر رغبة أخرى
tone-much = { WEIGHT($grams) } إجمالا أكثر من المعتاد 60 إلى 120: أجزاء شعر طويل أو كثيف: { WHOLE($parts) }
tone-taught_by = وفق خصلة من { $lanes  }
tone-fill = املأ { $lanes  } أولا بـ { $warm ->
        [copper] نحاسي ذهبي دافئ
       *[red_brown] بني محمر دافئ
    }، 10 دقائق ثم امسح: شعر بهذا الفتاح لا يمسك اللون العميق بدونه.
toner_warning-looks_dark = يبدو داكنا فقط: دخل نحو { PERCENT($share) } من الصبغة.
    .help = المنتج على الشعر يخفي النتيجة: اشطف خصلة سفلية وانظر، ثم غطها إن احتاجت وقتا.
toner_warning-hidden = المنتج على الشعر يخفي النتيجة: اشطف خصلة سفلية وانظر قبل شطف الكل.
remedy-counter = عادله بالأحمر أو الوردي
remedy-deeper = أغمق ومحايد
remedy-toward_ends = قرّب الباقي من هذه الأطراف
remedy-warm = دفئ هذه الأطراف
remedy-draw_out = أخرجها أولا: بقية مفتح مع شامبو أو مزيل
probe-same = قبل المجس: { $before  }، { WHOLE($minutes_before) } دقيقة. الآن نفسه لمدة { WHOLE($minutes) } دقيقة.
probe-moved = قبل المجس: { $before  }، { WHOLE($minutes_before) } دقيقة. الآن { $now  }، { WHOLE($minutes) } دقيقة؛ الرمادي من { PERCENT($ash_before) } إلى { PERCENT($ash) } من الصبغة، والذهبي والمحايد من { PERCENT($warm_before) } إلى { PERCENT($warm) }.

## Afterwards

next_visit-closed = الاستوديو مغلق يوم { DAY($day) }
next_visit-rests = يرتاح الشعر ستة أسابيع قبل تفتيحه أكثر
next_visit-rests_long = يرتاح الشعر ستة أسابيع قبل تفتيحه أكثر؛ يتجاوز النمو { LENGTH($most) } حينها ويُعمل بمسارين
next_visit-roots = قبيل أن يتجاوز النمو { LENGTH($most) }: وضعة جذر واحدة بلا شريط
next_visit-taught = علّمت الخصل كيف يفتح هذا الرأس: صار تخطيطه ممكنا
next_visit-tone = لا شيء للترميم عند الفروة: يُجدد التونر
reminder = زيارتك يوم { DAY($on) }. { $begin  } نرجو عدم استعمال { $hair ->
        [toned] شامبو أو بلسم بنفسجي أو أزرق أو رمادي
       *[plain] شامبو أو بلسم ملون
    }، ولا صبغة منزلية ولا حناء، ولا زيوت أو شامبو جاف في آخر يومين. اغسل الشعر في اليوم السابق بشامبو بسيط. أخبرنا بأي دواء أو حساسية أو التهاب جديد في الفروة.
reminder-from_now = من الآن
reminder-from_day = ابتداء من { DAY_OF_YEAR($day) }
last_time = { $ran }: { $did }; { $then }
last_time-ran = { PLAIN($volume) } فول، { WHOLE($minutes) } دقيقة
last_time-ran_in_more = { PLAIN($volume) } فول، { WHOLE($minutes) } دقيقة، الوضعات: { WHOLE($applications) }
last_time-ran_past_label = { PLAIN($volume) } فول، { WHOLE($minutes) } دقيقة، بعد وقت الملصق
last_time-came_to_target = بلغ الهدف
last_time-came_short = قصر بـ { TENTHS($levels) }
last_time-came_past = تجاوزه بـ { TENTHS($levels) }
last_time-same_again = نفسه مرة أخرى
last_time-corrected = { WHOLE($volume) } فول لمدة { WHOLE($minutes) } دقيقة
last_time-most = { WHOLE($volume) } فول لمدة { WHOLE($minutes) } دقيقة أقصى وضعة واحدة: وضعتان أو زيارة أخرى
gain-touch = لمسة
gain-steps = { $count ->
        [1] درجة واحدة
        [2] درجتين
        [3] ثلاث درجات
        [4] أربع درجات
        [5] خمس درجات
       *[other] ست درجات
    }
gain-several = عدة درجات
handout-done = ما قمنا به
handout-nothing_done = نظرنا إلى شعرك وخططنا معا.
handout-lightened = فتّحنا: { LOWER($lanes) }، { $gain  }.
handout-palest = في الأسفل، أفتح الأجزاء الآن: { $undertone  }.
handout-toned = لوّناه بالتونر نحو { $tones  }.
handout-short = لم نصل بعد إلى ما نريد: الباقي في زيارة أخرى بعد أن يرتاح الشعر.
handout-care = كيف تعتني به
    .wash = انتظر 48 ساعة قبل أول غسل؛ ثم اغسله نادرا بماء فاتر وشامبو لطيف.
    .care = استعمل البلسم كل مرة، وعلاجا بالبروتين أو للروابط مرة أسبوعيا لأربعة أسابيع.
    .heat = احمه من الحرارة والشمس والكلور وماء البحر؛ جففه بلطف ومشطه من الأطراف إلى أعلى.
    .fades = التونر يبهت خلال أسابيع. إن صار دافئا فبلسم بنفسجي مرة أسبوعيا يساعد، حتى نخبرك بالتوقف.
handout-watch = متى تتصل بنا
    .skin = إذا احترقت الفروة أو ظهرت بثور أو حكة أكثر من يوم، أو تورم الوجه: اشطف بماء بارد وراجع الطبيب.
    .hair = إذا تكسر الشعر أو تمدد كالمطاط وهو رطب: لا حرارة ولا صبغة، واتصل بنا.
handout-before_next = قبل الزيارة القادمة
handout_tone-icy = أبيض ثلجي
handout_tone-cool = لون بارد
handout_tone-neutral = لون محايد
handout_tone-beige = بيج
handout_tone-warm = لون دافئ
handout_tone-gold = لون ذهبي
handout_tone-copper = نحاسي
handout_tone-red_brown = بني محمر
handout_tone-rose = زهري
handout_tone-silver = لون فضي
handout_tone-pearl = لون لؤلؤي
handout_tone-pastel = لون باستيل

## Limits: how a field must be

limit-number = رقما
limit-finite = رقما محدودا
limit-whole = رقما صحيحا
limit-flag = صحيحا أو خطأ
limit-string = نصا
limit-given = مذكورا
limit-list = قائمة
limit-object = كائن JSON
limit-known_field = حقلا معروفا هنا
limit-field_of = حقلا من { $kind  } ({ $known  })
limit-one_of = واحدا من { $known  }
limit-one_of_zones = إحدى المناطق { $known  }
limit-made_of = مكونا من { $known  }
limit-other = من نوع آخر ({ $code  })
limit-from = { PLAIN($least) } أو أكثر
limit-up_to = { PLAIN($most) } أو أقل
limit-shorthand_empty = سطرا مثل 5 الكل، الأطراف 8.5، الرغبة 9
limit-shorthand_says_nothing = درجة أو تاريخا أو مسامية أو مم في كل عبارة
limit-shorthand_word = مناطق وأجزاء ودرجات وما سبق عمله بكلمات هذه الصفحة
limit-longest = بحد أقصى { WHOLE($most) } حرفا
limit-shortest = بحد أدنى { WHOLE($least) } حرفا
limit-at_most_so_many = قائمة من { WHOLE($most) } كحد أقصى
limit-at_least_so_many = قائمة من { WHOLE($least) } على الأقل
limit-moment = لحظة مثل 2026-01-31T09:30:00Z
limit-closed_last = ليس قبل اليوم الأول، و{ $most } يوما على الأكثر
limit-date = يوما مثل 2026-01-31
limit-text = من 1 إلى { WHOLE($most) } حرفا
limit-range = { $unit ->
    [g] رقما من { WEIGHT_FIGURE($low) } إلى { WEIGHT_TENTHS($high) }
    [mm] رقما من { LENGTH_FIGURE($low) } إلى { LENGTH($high) }
   *[other] رقما من { PLAIN($low) } إلى { PLAIN($high) }{ $unit ->
        [level] {" "}(درجة)
        [parts] {" "}أجزاء إلى واحد
        [vol] {" "}فول
        [min] {" "}دقيقة
        [h] {" "}ساعة
        [K] {" "}كلفن
        [pairs] {" "}من أزواج الأيدي
        [rows] {" "}من الصفوف
        [sections] {" "}من المقاطع
        [levels] {" "}من الدرجات
        [degrees] {" "}درجة زاوية
        [years] {" "}سنة
        [days] {" "}يوما
        [none] {""}
       *[other] {" "}{ $unit }
    }
}
limit-count = من { WHOLE($least) } إلى { WHOLE($most) } { $noun ->
        [lab] أرقام: L*, a*, b*
        [zones] من المناطق
        [lanes] من المسارات
        [parts] من الأجزاء
        [readings] من القراءات
        [visits] من المرات
        [strands] من الخصل
        [toners] من أنواع التونر
        [lighteners] من المفتحات
        [developers] من المؤكسدات
        [events] من الأعمال
        [eyes] من العيون
        [kinds] من أنواع الشعر
        [areas] من المساحات
        [closed] من العطل
       *[other] { $noun }
    }
limit-patches = كل رقع البطاقة؛ الناقص: { $missing  }
limit-a_shade = لون درجة على أفتح شعر؛ وهذا ليس كذلك
limit-lab = ثلاثة أرقام: L*, a*, b*
limit-above_zero = أكبر من 0
limit-time_zone = لحظة مع منطقة زمنية
limit-day = يوما من { $low  } إلى { $high  } مثل 2026-01-31
limit-most_lines = { WHOLE($most) } سطرا كحد أقصى
limit-yes_no = نعم أو لا أو لا شيء
limit-no_control = بلا رموز تحكم
limit-no_dot = بلا نقطة
limit-at_least_one = واحدا على الأقل
limit-at_most_max_volume = max_volume { PLAIN($most) } فول كحد أقصى
limit-given_for_oxidative = مذكورا للون مؤكسد
limit-only_for_wash = 0: الغسول الصبغي وحده يُخفف
limit-nothing_for_wash = لا شيء للغسول الصبغي: لا يوضع مع بيروكسيد أبدا
limit-one_dye_family = عائلة صبغة واحدة على الأقل
limit-sum_of_shares = حصصا مجموعها 1
limit-not_below_start_level = عند درجة البداية { PLAIN($level) } أو فوقها
limit-past_its_start = بعد بدايته، { LENGTH($least) }
limit-after_the_part_before = حيث ينتهي الجزء السابق أو بعده، { LENGTH($least) }
limit-within_length = ضمن طول الشعر، { LENGTH($most) }
limit-most_lanes = { WHOLE($most) } مسارا كحد أقصى
limit-most_zones = { WHOLE($most) } منطقة كحد أقصى
limit-most_strands = { WHOLE($most) } خصلة كحد أقصى
limit-most_measurements = { WHOLE($most) } قياسا كحد أقصى
limit-most_clients = { WHOLE($most) } عميلا كحد أقصى
limit-one_or_two_shades = لون أو لونان
limit-one_each_shade = قيم عددها { WHOLE($count) }، واحدة لكل لون
limit-one_each_zone = قيم عددها { WHOLE($count) }، واحدة لكل منطقة
limit-both_oxidative = كلاهما مؤكسد أو لا أحد
limit-times_of_both_labels = أوقاتا يسمح بها الملصقان ({ $shades  })
limit-share_of_second = 1 للون واحد، وأقل من 1 مع ثان
limit-one_for_this_person = واحدا على الأقل يصلح لهذا الشخص
limit-one_developer = مؤكسدا واحدا على الأقل
limit-one_developer_on_shelf = مؤكسدا واحدا على الرف على الأقل
limit-least_developer = { WEIGHT_TENTHS($least) } من المؤكسد على الأقل
limit-bottles = من { PLAIN($low) } إلى { PLAIN($high) } فول (زجاجات الرف)
limit-different_keys = مناطق بمفاتيح مختلفة
limit-different_from_others = مختلفا عن الأخرى: { $name  }
limit-another_lane = مسارا غير zone_key
limit-given_or_scalp = مذكورا أو الفروة
limit-services_filed = { WHOLE($least) } محفوظة على الأقل بهذا المنتج
limit-event = حدثا بنوعه وبياناته
limit-given_to_plan = مذكورا في ملف للتخطيط
limit-versions = { $known  }، الإصدارات التي يقرؤها هذا البرنامج
limit-columns = الأعمدة { $columns  }
limit-cells = خلايا عددها { WHOLE($count) }
limit-values = قيم عددها { WHOLE($count) }
limit-quotes_in_pairs = علامات اقتباس مزدوجة
limit-with = مع { $names  }
limit-with_before_data = مع { $names  } قبل البيانات
limit-one_measurement = قياسا واحدا على الأقل
limit-same_facts = البيانات نفسها في كل سطر من { $strand  }
limit-minute_and_level = الدقيقة والدرجة معا أو لا شيء منهما
limit-on_shelf = مفتحا من الرف
limit-none_on_shelf = لا شيء على الرف
limit-as_kept = كما يحفظه هذا البرنامج
limit-from_today_within_two_years = لحظة من اليوم فصاعدا خلال سنتين
limit-after_last_within_two_years = لحظة مع منطقة زمنية بعد آخر زيارة خلال سنتين
limit-open_day = يوما يكون فيه الاستوديو مفتوحا
limit-within_a_year = لحظة قادمة خلال سنة
limit-within_two_days = لحظة مع منطقة زمنية خلال آخر يومين
limit-years_away = لحظة مع منطقة زمنية، على بعد { WHOLE($most) } سنوات كحد أقصى
limit-moment_between = لحظة مع منطقة زمنية، من { $low  } إلى { $high  }
limit-not_in_future = ليس في المستقبل
limit-all_zones_once = كل المناطق مرة واحدة ({ $zones  })
limit-different_keys_of = { $field  } بمفاتيح مختلفة
limit-client_name = اسم العميل، { $name  }
limit-field_of_model = كما قيل: { $why  }
limit-password = أقوى: { $why  }
limit-own_password = كلمة مرورك الحالية
limit-another_password = غير السابقة
limit-email = عنوانا مثل name@studio.example
limit-code_of_phone = الأرقام الستة التي يظهرها هاتفك الآن
limit-most_links = { WHOLE($most) } صالحة كحد أقصى؛ ألغ واحدا أولا
limit-most_of_a_kind = { WHOLE($most) } من نوع واحد كحد أقصى
limit-no_zone_open = لا شيء: لا منطقة عليها منتج بعد
limit-first_of_bad_lines = { $limit  } (أول السطور الخاطئة وعددها { WHOLE($count) })
limit-given_for = مذكورا لـ { $of  }
limit-json = JSON ({ $why  })
limit-json_body = JSON
limit-utf8 = نصا بترميز UTF-8
limit-readable_file = ملفا مقروءا ({ $why  })
limit-most_bytes = { WHOLE($most) } بايت كحد أقصى
limit-file_of_bytes = ملفا من 1 إلى { WHOLE($most) } بايت
limit-most_pixels = { WHOLE($most) } بكسل كحد أقصى
limit-picture = صورة ({ $formats  })
limit-jpeg = صورة JPEG
limit-depth = { WHOLE($most) } مستويات كحد أقصى
limit-plain_text = نصا بلا NUL ولا بدائل منفردة
limit-plain_keys = مفاتيح بلا NUL ولا بدائل منفردة
limit-finite_only = أرقاما محدودة فقط
limit-format = { $format  } إصدار { WHOLE($version) }
limit-member = عضوا باسم دخول ودور
limit-client_of_archive = عميلا من هذا الأرشيف
limit-on_archives_shelf = على رف هذا الأرشيف
limit-step_of_log = { $step  }، كما في سجله
limit-studio_settings = إعدادات استوديو
limit-entry_once = كل مدخل مرة واحدة
limit-archive_entries = مداخل { $names  } و photos/*.jpg
limit-not_encrypted = غير مشفر
limit-packed = { WHOLE($most) } بايت كحد أقصى، مضغوطة { WHOLE($ratio) } : 1
limit-unpacked = { WHOLE($most) } بايت كحد أقصى بعد فك الضغط
limit-most_entries = { WHOLE($most) } مدخلا كحد أقصى

## Errors: what happened, what is kept, what to do

problem-401 = تم تسجيل الخروج
problem-403 = غير مسموح
problem-404 = غير موجود
problem-409 = لا يتوافق
problem-422 = خارج الحدود
problem-other = خطأ
error-already_again = هذه المنطقة تُفتح من جديد بالفعل.
error-already_barrier = منتج هذه المنطقة حاجز بالفعل.
error-already_begun = تم العمل في هذه الخدمة؛ سجلها يبقى. احفظها بدلا من ذلك.
error-already_dry = جُففت هذه المنطقة بالفعل.
error-already_emulsified = تم الاستحلاب بالفعل.
error-already_here = بعض صفوف هذا الأرشيف موجودة هنا بالفعل.
error-already_rinsed = شُطفت هذه المنطقة بالفعل.
error-already_started = بدأت هذه المنطقة بالفعل.
    .plan = المنتج على الشعر بالفعل؛ لا يمكن أخذ الخطة من جديد.
    .strands = الخطة على الكرسي؛ أُغلقت اختبارات الخصل.
    .consultation = الخطة على الكرسي؛ أُغلقت الاستشارة.
error-already_warm = الحرارة على هذه المنطقة بالفعل.
error-bad_archive = الملف ليس أرشيف استوديو (ليس zip).
    .json = { $where  }: ليس JSON ({ $why  }).
    .unreadable = { $name  }: تتعذر القراءة.
error-bad_csv = السطر { WHOLE($line) }: ليس CSV ({ $why  }).
error-caution = { $title }. { $advice }
    .shade = { $shade }: { $title }. { $advice }
error-cautions_open = يبقى الإقرار بـ: { $missing  }.
error-changed_elsewhere = غيّر شخص آخر هذا في الأثناء؛ هذه نسخته.
error-consultation_open = أنه الاستشارة قبل الخطة.
error-enough_addenda = يتسع السجل لـ { WHOLE($most) } إضافة.
error-enough_photos = تتسع الخدمة لـ { WHOLE($most) } صورة؛ أزل واحدة أولا.
error-erased = مُحي هذا العميل؛ أضفه من جديد.
    .written = مُحي هذا العميل؛ لا يمكن الكتابة عنه بعد الآن.
error-event_id_taken = معرّف الحدث مستعمل.
    .other = معرّف الحدث لفعل آخر: { $kind  }. لم يتغير شيء.
error-in_use = { $name  } مذكور في خدمات؛ وسجلها يحتاجه.
error-label_unread = اقرأ على ملصق { $product  } أنه يجوز وضعه مرة أخرى.
    .refresh = اقرأ ملصق { $product  } أولا: هل يسمح بوضعة أخرى اليوم؟
error-last_owner = الاستوديو يحتاج مالكا؛ عيّن غيره أولا.
error-busy = الخادم يحسب لكثيرين الآن. لم يضع شيء؛ حاول بعد لحظة.
error-bad_json = هذا ليس JSON.
error-code_needed = اكتب الأرقام الستة من هاتفك أو رمز استرداد.
error-wrong_code = الرمز غير صحيح. انتظر التالي؛ بعد الأخطاء يطول الانتظار كل مرة.
error-second_factor_set = العامل الثاني مفعل بالفعل؛ أوقفه أولا.
error-second_factor_none = لا عامل ثان معدا.
error-second_factor_demanded = الاستوديو يطلب من الجميع عاملا ثانيا؛ مالكه وحده يغير ذلك.
error-owes_password = اختر كلمة مرور خاصة بك أولا.
error-owes_second_factor = الاستوديو يطلب من الجميع عاملا ثانيا؛ أعد عاملك أولا.
error-later_acts_depend = أفعال لاحقة تعتمد عليه؛ تراجع عنها أولا.
    .acknowledged = أُنهيت الاستشارة على هذا الإقرار؛ تراجع عنها أولا.
error-locked_out = محاولات كثيرة. انتظر ربع ساعة.
error-sign_in_busy = كثيرون يسجلون الدخول الآن. انتظر لحظة وحاول.
error-too_many_lines = لوحات كثيرة مفتوحة على هذا الجهاز؛ أغلق بعضها.
error-begin_token = هذا العنوان ليس ما طبعه الخادم أو عمره أكثر من أسبوع. أعد تشغيل الخادم لعنوان جديد.
error-begun_already = هنا استوديو بالفعل؛ سجل الدخول.
error-name_taken = الاسم { $name  } مستعمل؛ اختر غيره للدخول.
    .shelf = { $name  } على الرف بالفعل.
error-no_cgats = الملف لا يبدأ كنص CGATS (CGATS.17).
error-no_database = قاعدة البيانات لا تجيب. لم يُحفظ ما أرسلته؛ حاول بعد لحظة.
    .stream = قاعدة البيانات لا تجيب؛ حاول بعد لحظة.
error-no_ends = يُسحب المنتج إلى أطراف المنطقة نفسها المنتظرة فقط.
error-no_heat = { $why }
error-no_lightener = اختر مفتحا أولا.
    .shelf = اختر مفتحا أولا؛ قد يكون الرف فارغا.
    .file = لا مفتح في الملف.
error-no_peroxide = { $shades  }: لا يُخلط الغسول الصبغي بلون مؤكسد.
    .developer = developer_g: يجب أن يكون 0 للغسول الصبغي ({ $shades  })، والمستلم { PLAIN($grams) }.
error-no_plan = لا خطة على الكرسي بعد.
    .file = لم تُؤخذ خطة إلى الكرسي حتى الدقيقة { PLAIN($minute) } من سجل الملف.
error-no_reader = لا قارئ ألوان معد (FERVENS_READER)؛ اقرأ بالعين.
error-no_refresh = { $why }
error-no_camera = لا كاميرا محاكاة هنا؛ التقط صورة.
error-no_round = لا جولة معايرة محفوظة لك.
error-no_studio = هذا الحساب لا يتبع استوديو بعد؛ يمكن للمالك إضافته.
error-no_toner = لا تونر على هذه المنطقة.
error-no_zones = اقرأ منطقة واحدة من الرأس على الأقل أولا.
error-not_again = لا يجوز تفتيح { $lane  } مرة أخرى اليوم: { $why  }.
error-not_allowed = دورك لا يسمح بذلك.
    .lead = لا يمكن للمساعد: { $act  }؛ اطلب من فني.
    .owner = المالك وحده يمكنه: { $act  }.
error-not_applying = هذه المنطقة ليست قيد الوضع.
error-not_empty = لهذا الاستوديو عملاء أو منتجات؛ الأرشيف يدخل إلى استوديو فارغ.
error-not_filed = السجل ما زال مفتوحا: اكتب فيه؛ الإضافات بعد الحفظ.
    .next = احفظ الخدمة أولا؛ الزيارة القادمة تُبنى على نهايتها.
error-not_found = لا شيء هنا يمكنك رؤيته.
error-not_kept = وُضع مفتح على هذه المنطقة؛ اقرأها كمسار.
error-not_kept_at_all = قيمة خارج ما يمكن حفظه. لم يُحفظ شيء.
error-not_planning = هذه الخدمة ليست في مرحلة الخطة.
error-not_processing = لا منتج يعمل على هذه المنطقة.
error-not_read = اقرأ { $lane  } بعد الشطف أولا.
error-not_rinsed = اشطف المفتح قبل وضع التونر.
    .probe = اشطف المفتح قبل المجس.
    .again = اشطف واقرأ قبل التفتيح مرة أخرى.
    .review = اشطف المفتح قبل المراجعة.
    .tone = التونر للمناطق المشطوفة فقط.
error-not_warm = لا حرارة على هذه المنطقة.
error-nothing_carried = لم يُنقل ما تعلمناه إلى { $name  }.
error-nothing_filed = لا خدمة محفوظة للبدء منها؛ ابدأ جديدة.
error-nothing_measured = لم يُستعمل قارئ ألوان في هذه الخدمة؛ لا شيء لإخراجه.
error-nothing_on = لا منتج على هذه المنطقة بعد.
error-nothing_planned = لا مسار في هذه الخطة ينال منتجا.
error-nothing_to_drag = لا منتج لسحبه من هناك.
error-nothing_deeper = لا جزء مطلوب أغمق مما هو.
error-no_tone_parts = اقرأ منطقة واحدة للتونر على الأقل.
error-not_by_hand = ما يذهب إلى المغسلة يُحسب هنا ولا يُرسل.
error-nothing_to_lift = لا منطقة مطلوبة أفتح مما هي؛ لا شيء للتخطيط.
    .consultation = الخدمة في الخطة؛ يجب تفتيح منطقة واحدة على الأقل.
error-nothing_to_read = أكمل الوضع قبل القراءة.
error-nothing_to_rinse = لا منتج على هذه المنطقة.
error-picture = تتعذر قراءة الصورة.
    .no_card = البطاقة لا تظهر كاملة: يجب أن تكون علامات الزوايا الأربع في الصورة.
    .no_picture = هذه ليست صورة (JPEG أو PNG أو WebP).
    .too_large = الصورة كبيرة جدا.
    .too_dark = معتم جدا: زد الضوء أو افتح النافذة.
    .burnt_out = محترقة: الرقع الفاتحة بلا لون. التقطها بضوء أقل.
    .blurred = غير واضحة: ثبّت يدك والمس البطاقة للتركيز وأعد التقاطها.
    .uneven-left = ضوء غير متساو: الجانب الأيسر من البطاقة في الظل. أدرها نحو الضوء.
    .uneven-right = ضوء غير متساو: الجانب الأيمن من البطاقة في الظل. أدرها نحو الضوء.
    .uneven-top = ضوء غير متساو: أعلى البطاقة في الظل. أدرها نحو الضوء.
    .uneven-bottom = ضوء غير متساو: أسفل البطاقة في الظل. أدرها نحو الضوء.
    .gloss = الخصلة تلمع رطبة: جففها بلمس خفيف وأمل البطاقة قليلا.
    .other_light-left = يقع على الخصلة ضوء غير ضوء البطاقة، إلى يسارها.
    .other_light-right = يقع على الخصلة ضوء غير ضوء البطاقة، إلى يمينها.
    .other_light-top = يقع على الخصلة ضوء غير ضوء البطاقة، في الأعلى.
    .other_light-bottom = يقع على الخصلة ضوء غير ضوء البطاقة، في الأسفل.
error-reader_away = قارئ الألوان لا يجيب؛ اقرأ بالعين.
error-reader_error = قارئ الألوان يقول: { $told  }.
error-reader_line = انقطع قارئ الألوان؛ حاول مرة أخرى أو اقرأ بالعين.
    .other = ما يجيب على { $address  } ليس قارئ ألوان.
    .sent = أرسل قارئ الألوان { $line  }، وليس قياسا.
error-refused = لم يُفهم هذا؛ لم يُحفظ شيء.
field-zones = منطقة
field-strands = خصلة
field-parts = جزء
field-readings = قراءة
field-start_level = الدرجة الآن
field-target_level = الدرجة المطلوبة
field-now_level = الدرجة الآن
field-wished_level = الدرجة المطلوبة
field-wanted_level = الدرجة المطلوبة
field-level = الدرجة
field-name = الاسم
field-first_name = الاسم الأول
field-last_name = اسم العائلة
field-username = اسم الدخول
field-password = كلمة المرور
field-email = البريد
field-code = الرمز
field-language = اللغة
field-role = الدور
field-volume_strength = القوة، فول
field-minutes = الدقائق
field-starts_at = اليوم والوقت
field-birth_date = تاريخ الميلاد
field-patch_test_placed_at = وُضع اختبار الحساسية
field-growth_mm_per_month = النمو في الشهر
field-length_mm = طول الشعر
field-from_mm = من
field-to_mm = إلى
field-off_scalp_mm = البعد عن الفروة
field-time_min = الوقت المتاح، دقيقة
field-wish = الرغبة
field-notes = الملاحظات
field-contact = التواصل
field-told = المذكور
field-photos = الصور
field-text = النص
field-slot_min = الوقت المطلوب، دقيقة
field-label_max_min = أطول وقت، دقيقة
field-developer_parts = المؤكسد إلى جزء واحد
field-max_volume = الأقوى، فول
field-stock_g = على الرف
field-old_password = كلمة المرور الحالية
field-foil_count = المقاطع
field-pace_min_per_foil = السرعة، دقيقة لكل مقطع
field-booked_min = المحجوز، دقيقة
field-occurred_at = الوقت
field-low_g = شحيح من
field-price_per_g = السعر
field-max_volume_on_scalp = الأقوى على الفروة، فول
field-bowl_life_min = عمر الوعاء، دقيقة
field-lift_factor = مدى التفتيح
field-rate_factor = سرعة التفتيح
field-max_applications = الوضعات في الزيارة الواحدة
field-developer_volume = المؤكسد، فول
field-label_min_min = أقصر وقت، دقيقة
field-patch_test_wait_h = اختبار الحساسية قبل ذلك، ساعة
field-rest_mm = الخصلة ساكنة
field-pulled_mm = الخصلة مشدودة
field-back_mm = الخصلة بعد تركها
field-tint_level = درجة الصبغة فيه
field-grey_share = نسبة الشيب
field-share = الحصة
field-spacing_mm = التباعد
field-stretch_before_percent = التمدد قبل، %
field-stretch_after_percent = التمدد بعد، %
field-volumes = المؤكسد، فول
field-visits = مرة إلى المغسلة
field-visit_mins = مرة إلى المغسلة، دقيقة
field-rows = الصفوف
field-hands = الأيدي
field-product_g = المنتج
field-developer_g = المؤكسد
field-mass_g = الموزون
field-wanted_volume = القوة المطلوبة، فول
field-warmth = الدفء
field-blend_mm = التدرج
field-dilution = التخفيف
field-weakest_natural = الأضعف على الشعر الطبيعي، فول
field-weakest_worn = الأضعف على الشعر الفاتح أو الرفيع أو المسامي، فول
field-weakest_old_dye = الأضعف على صبغة قديمة، فول
field-root_share = الجذور
field-band_share = الأشرطة
field-open_air_share = في الهواء
field-tone_share = التونر
field-change_min = إلى المنطقة التالية، دقيقة
field-rinse_min = مرة إلى المغسلة، دقيقة
field-look_min = النظر إلى مسار، دقيقة
field-mix_min = خلط وعاء، دقيقة
field-idle_min = تسجيل الخروج بعد، دقيقة
field-closed_on = أيام الإغلاق
field-first = اليوم الأول
field-last = اليوم الأخير
field-dyes = الأصباغ
field-worked = ما نجح
field-change = ما يجب تغييره
field-reason = السبب
field-currency = العملة
field-allergies = الحساسية
field-medication = الأدوية
field-typed_name = الاسم مرة أخرى
field-label = اسم النسخة
field-for_name = لمن
field-studio = اسم الاستوديو
field-rest_name = اسم الباقي
field-new_password = كلمة المرور الجديدة
error-refused_at = { $field }.{ $told }
error-refused_within = { $place }: { $told }
error-service_closed = الخدمة محفوظة؛ لا يمكن إضافة شيء.
error-not_a_demo = يمكن إيقاظ العرض التجريبي فقط.
error-signed_out = يرجى تسجيل الدخول.
error-still_lifting = ما زال المفتح على بعض المناطق؛ اشطفها أولا.
    .file = ما زال المفتح على بعض مناطق الملف؛ اشطفها أولا.
error-toned = وُضع التونر على هذه المنطقة بالفعل.
error-toner_on = على هذه المنطقة تونر.
error-toner_open = التونر ما زال على: { $zones  }. اشطف قبل الحفظ.
error-toner_over_label = الدقائق: { PLAIN($most) } كحد أقصى (ملصق { $shade  })، والمستلم { PLAIN($minutes) }.
error-too_large = body: { WHOLE($most) } بايت كحد أقصى، والمستلم { $value  }. لم يُحفظ شيء.
error-too_late = شُطفت هذه المنطقة بالفعل.
error-puzzle = بقيت الصفحة مفتوحة طويلا أو استُعمل جوابها. أعد تحميلها؛ يمكنك نسخ ما كتبت.
error-too_many_requests = وصلت طلبات كثيرة اليوم؛ يرجى الاتصال بالاستوديو.
error-too_many_versions = تُحفظ { WHOLE($most) } نسخة كحد أقصى.
error-unknown_event = لا حدث كهذا للتراجع عنه.
    .fold = kind: لا يمكن طي { $kind  }.
    .kind = kind: يجب أن يكون واحدا من { $known  }، والمستلم { $kind  }.
    .version = version: يجب أن تكون من 1 إلى { WHOLE($newest) } لـ { $kind  }، والمستلم { WHOLE($version) }.
error-unknown_shade = هذا اللون لم يعد على الرف.
    .in_mind = التونر المقصود لم يعد على الرف.
error-unknown_zone = لا منطقة '{ $key  }' هنا.
    .kept = لا جزء متروكا مفتاحه '{ $key  }'.
error-round_over = انتهت هذه الجولة. انظر تحليلها أو أعدها.
error-round_not_over = لم تنته هذه الجولة. أنهها أولا.
error-only_in_practice = هذا لجولات التدريب فقط.
error-unlike_hair = ما قيس (L* { WHOLE($l) }, a* { WHOLE($a) }, b* { WHOLE($b) }) لا يشبه أي درجة لهذا الشعر: امسح الخصلة وابسطها وقس من جديد، أو اقرأ بالعين.
error-value_out_of_limit = { $field  }: يجب أن يكون { $limit  }، والمستلم { $value  }.
got-g = { WEIGHT_TENTHS($value) }
got-mm = { LENGTH($value) }
error-field_out_of_limit = { FIELD($field) }: يجب أن يكون { $limit  }، والمستلم { $value  }.
error-secret_out_of_limit = { FIELD($field) }: يجب أن يكون { $limit  }.
error-volume_over_limit = { $lane  }: { PLAIN($most) } فول كحد أقصى ({ $limit  })، والمستلم { PLAIN($volume) }.
error-wrong_password = الاسم أو كلمة المرور غير صحيحة.
error-zones_open = ما زال المنتج على: { $zones  }. اشطف قبل الحفظ.

## What a role does, for its refusal

doing-acknowledge_a_caution = الإقرار بتنبيه
doing-add_members = إضافة أعضاء
doing-bring_a_studio_in = إدخال استوديو
doing-bring_clients_in = إدخال عملاء
doing-move_a_visit = نقل زيارة
doing-cancel_a_visit = إلغاء زيارة
doing-change_a_strength = تغيير قوة
doing-change_members = تغيير الأعضاء
doing-change_the_shelf = تغيير الرف
doing-change_the_studio = تغيير الاستوديو
doing-erase_a_client = محو عميل
doing-file_a_service = حفظ خدمة
doing-finish_a_consultation = إنهاء استشارة
doing-keep_a_plan = حفظ خطة
doing-lighten_again = التفتيح من جديد
doing-make_links = إنشاء روابط
doing-measure_the_card = قياس البطاقة
doing-read_the_audit_trail = قراءة سجل التدقيق
doing-read_a_patch_test = تدوين اختبار حساسية
doing-remove_a_filed_photo = إزالة صورة من خدمة محفوظة
doing-revoke_links = إلغاء روابط
doing-take_a_plan_to_the_chair = أخذ خطة إلى الكرسي
doing-take_a_service_file_in = إدخال ملف خدمة
doing-take_clients_out = إخراج عملاء
doing-take_the_studio_out = إخراج الاستوديو
doing-write_a_plan = كتابة خطة

## The audit trail

audit-account_changed = تغير الحساب
audit-archive_brought_in = أُدخل الأرشيف
audit-archive_taken_out = أُخرج الأرشيف
audit-card_forgotten = البطاقة كما طُبعت
audit-card_measured = قيست البطاقة
audit-client_added = أُضيف عميل
audit-client_changed = تغير عميل
audit-client_erased = مُحي عميل
audit-client_reminded = ذُكّر العميل
audit-client_taken_out = أُخرج عميل
audit-clients_brought_in = أُدخل عملاء
audit-clients_taken_out = أُخرج عملاء
audit-code_failed = فشل العامل الثاني
audit-consultation_written = كُتبت الاستشارة
audit-developer_added = أُضيف مؤكسد
audit-developer_changed = تغير مؤكسد
audit-developer_removed = أُزيل مؤكسد
audit-eye_calibrated = عويرت العين
audit-eye_round_taken_back = سُحبت جولة المعايرة
audit-feed_link_made = أُنشئ رابط تقويم
audit-feed_link_revoked = أُلغي رابط تقويم
audit-invitation_taken_back = سُحبت الدعوة
audit-invitation_taken_up = قُبلت الدعوة
audit-learnt_factor_carried_in = نُقل عامل متعلم
audit-learnt_factor_taken_back = سُحب عامل متعلم
audit-lightener_added = أُضيف مفتح
audit-lightener_changed = تغير مفتح
audit-lightener_removed = أُزيل مفتح
audit-measurements_brought_in = أُدخلت قياسات
audit-member_added = أُضيف عضو
audit-member_changed = تغير عضو
audit-member_invited = دُعي عضو
audit-password_changed = تغيرت كلمة المرور
audit-password_reset = أُعيدت كلمة المرور
audit-photo_added = أُضيفت صورة
audit-photo_removed = أُزيلت صورة
audit-plan_version_kept = حُفظت نسخة خطة
audit-plan_written = كُتبت خطة
audit-reaction_to_oxidative_colour_answered = أُجيب عن رد الفعل للصبغة المؤكسدة
audit-record_added_to = أُضيف إلى السجل
audit-recovery_code_used = استُعمل رمز استرداد
audit-recovery_codes_made = أُنشئت رموز استرداد
audit-reminder_taken_back = سُحب التذكير
audit-request_came_in = وصل طلب
audit-requests_cleared = مُسحت الطلبات
audit-request_link_made = أُنشئ رابط طلب
audit-request_link_revoked = أُلغي رابط طلب
audit-reset_asked = طُلبت إعادة كلمة المرور بالبريد
audit-reset_made = سُلّمت إعادة كلمة المرور
audit-second_factor_off = أُوقف العامل الثاني
audit-second_factor_set = أُعد العامل الثاني
audit-service_file_taken_in = أُدخل ملف خدمة
audit-service_file_taken_out = أُخرج ملف خدمة
audit-service_started = بدأت خدمة
audit-service_started_from_the_last = بدأت خدمة من الأخيرة
audit-sign_in_failed = فشل تسجيل الدخول
audit-signed_in = تسجيل دخول
audit-signed_out = تسجيل خروج
audit-signed_out_everywhere = خروج من كل مكان
audit-strand_tests_taken_in = أُدخلت اختبارات الخصل
audit-studio_begun = بدأ الاستوديو
audit-studio_changed = تغير الاستوديو
audit-trail_taken_out = أُخرج سجل التدقيق
audit-shelf_brought_in = أُدخل الرف
audit-shelf_taken_out = أُخرج الرف
audit-toner_added = أُضيف تونر
audit-toner_changed = تغير تونر
audit-toner_removed = أُزيل تونر
audit-visit_cancelled = أُلغيت زيارة
audit-visit_moved = نُقلت زيارة

## Mail to members

mail-invited = { $by } يدعوك للعمل مع { $studio } في Fervens.

    أنشئ حسابك هنا خلال { WHOLE($days) } أيام؛ العنوان صالح مرة واحدة:
    { $address }
    .title = مكان في { $studio  }
mail-reset = مرحبا { $name }،

    طلب أحدهم كلمة مرور جديدة لحسابك في Fervens. ضعها هنا خلال يوم:
    { $address }

    إن لم تكن أنت فلم يتغير شيء ولا حاجة لفعل شيء.
    .title = كلمة مرور جديدة
mail-password_changed = مرحبا { $name }،

    تغيرت كلمة مرورك في Fervens للتو وسُجل خروج الأجهزة الأخرى.
    إن لم تكن أنت فاطلب من مالك الاستوديو كلمة جديدة فورا.
    .title = تغيرت كلمة مرورك

## The log

caution_name-scalp_broken = فروة مجروحة
caution_name-elasticity = المرونة
caution_name-metallic_salts = أملاح معدنية
caution_name-build_up = تراكم
caution_name-scalp_sensitive = فروة حساسة
caution_name-elasticity_slow = مرونة بطيئة
caution_name-patch_test_open = اختبار حساسية معلق
caution_name-reaction_open = رد فعل معلق
caution_name-allergies = حساسيات
caution_name-medication = أدوية
caution_name-under_16 = تحت 16
caution_name-metallic_history = تاريخ أملاح معدنية
caution_name-henna_untested = حناء غير مختبرة
caution_name-unknown_untested = مجهول غير مختبر
caution_name-henna = حناء
caution_name-elasticity_zone = مرونة منطقة
caution_name-breakage = تكسر
caution_name-frail = هش
caution_name-direct_dye = صبغة مباشرة
caution_name-delicate = رقيق
caution_name-frail_toned = تونر على شعر هش
caution_name-lightened = مفتح
caution_name-white_in_one = أبيض دفعة واحدة
caution_name-long_regrowth = نمو طويل
caution_name-no_strand_test = لا اختبار خصلة
caution_name-toning_use = استعمال التونر
caution_name-professional_use = استعمال مهني
event-ConsultationFinished = انتهت الاستشارة
event-ReviewFinished = انتهت المراجعة
event-ServiceClosed = محفوظة
event-ApplicationFinished = { $zone  }: انتهى الوضع
event-Rinsed = { $zone  }: شُطفت
event-wiped = { $zone  }: مُسحت أو جُففت
event-HeatStarted = { $zone  }: حرارة
event-HeatEnded = { $zone  }: أُزيلت الحرارة
event-BarrierLeft = { $zone  }: تُركت حاجزا
event-DriedOut = { $zone  }: جُففت
event-acknowledged = أُقر بـ: { $caution  }
event-plan_taken = أُخذت الخطة إلى الكرسي، المناطق: { WHOLE($zones) }
event-bowl = وعاء { $zone  }: { WEIGHT($grams) }، { PLAIN($volume) } فول
event-bowl_is_on = { $bowl  }؛ بدأ الوضع
event-started_after = { $before  }: انتهى الوضع؛ { $then  }
event-started = { $zone  }: بدأ الوضع، { PLAIN($volume) } فول
event-reading = { $zone }: { $said } ({ $how })
event-read = قُرئ { LEVEL($level) }
event-read_first = قُرئت أول الأوراق { LEVEL($level) }
event-not_lightened = بلا تفتيح
event-warmer = أدفأ
event-cooler = أبرد
event-rest = بقية { $hue  }
event-reader = قارئ ألوان
event-named_reader = قارئ ألوان { $name  }
event-rinsed_together = شُطفت معا: { $zones  }
event-refreshed = { $zone  }: منتج جديد، { PLAIN($volume) } فول
event-dragged = { $zone  }: سُحب المنتج من { $source  }
event-covering = { $zone  }: الآن { $covering  }
event-noted = { $zone }: { $said }
event-hair_returns = يتمدد ويرجع
event-hair_slow = يرجع ببطء
event-hair_stays_stretched = يبقى ممدودا
event-hair_snaps = ينقطع
event-scalp_fine = الفروة بخير
event-scalp_warm = الفروة دافئة
event-scalp_burns = الفروة تحترق
event-developer = { $zone  }: { PLAIN($volume) } فول بدلا منه
event-again = تفتيح آخر: { $zones  }
event-zone_volume = { $zone  } { PLAIN($volume) } فول
event-wish = الرغبة: { $tone  } عند { LEVEL($level) }
event-wish_measured = الرغبة: لون مقيس عند { LEVEL($level) }
event-no_shadow = لا ظل جذر
event-shadow = ظل جذر عند { LEVEL($level) }، { LENGTH($length) }، مدمج على { LENGTH($blend) }
event-probe = { $zone  }: الشامبو البنفسجي أخذ { $grab  }
event-two_shades = { $first } + { $second } { WHOLE($parts) }:{ WHOLE($rest) }
event-toner_applied = { $zone  }: وُضع التونر { $formula  }، { PLAIN($minutes) } دقيقة
event-tone_bowl = وُضع التونر { $formula  }: { $zones  }
event-toners_emulsified = استُحلب التونر: { $zones  }
event-toners_rinsed = شُطف التونر: { $zones  }
event-own_formula = تركيبة خاصة لـ { $zones  }
event-as_proposed = التركيبة المقترحة من جديد لـ { $zones  }
event-wish_for = { $wish  }، لـ { $zones  }
event-toner_emulsified = { $zone  }: استُحلب التونر
event-toner_strand = { $zone  }: شُطفت خصلة، { PERCENT($share) } من صبغتها
event-toner_pulled_back = { $zone  }: أُعيد التونر، { PLAIN($minutes) } دقيقة إجمالا
event-toner_rinsed = { $zone  }: شُطف التونر
version-taken = أُخذت إلى الكرسي

## Day and client

day-read_head = اقرأ الرأس
day-finish = أنه الاستشارة
day-clarify = نظف أولا
day-not_today = لا تفتيح اليوم
day-strands = اختبر الخصل
day-plan = خططها
day-chair = على الكرسي
day-review = اقرأ وراجع
day-tone = ضع التونر
day-toner_on = التونر على { WHOLE($on) } من { WHOLE($of) } مناطق
day-filed = محفوظة
source-request = طلب
source-last_time = المرة الأخيرة
history-patch_not_done = اختبار الحساسية: وُضع ولم يُقرأ
history-patch_negative = اختبار الحساسية: سليم
history-patch_positive = اختبار الحساسية: رد فعل
history-strands = خصل مختبرة: { WHOLE($count) }، حتى درجة { LEVEL($best) }
hair_kind = { $history  }، { $thickness  }، المسامية { $porosity  }
request-form = نموذج الطلب
request-photo = أرسله العميل
request-notes = طُلبت زيارة يوم { DAY($on) }. التواصل: { $reach }.
    المذكور: { $past }
request-not_given = غير مذكور
request-nothing = لا شيء
calendar-name = زيارة
calendar-visit = لون: { $client  }

## The card, on paper

min = { WHOLE($minutes) } دقيقة
g = { WEIGHT($grams) }
card-title = بطاقة الخدمة، { $client  }
card-foot = { $client }, { DAY($on) }
card-head = { DAY($on) }, { $at }, { $filed }. { $lightener }.
card-filed = حُفظت { $at  }
card-not_filed = لم تُحفظ بعد
card-no_lightener = بلا مفتح
card-wish = الرغبة: { $wish  } ({ $tone  })
card-walls = بعد وقت الملصق: { $lanes  }.
card-lightening = التفتيح
card-strands = اختبارات الخصل
card-level = من { LEVEL($level) }
card-strand_reading = { PLAIN($minute) } دقيقة: { LEVEL($level) }
card-bowls = الأوعية
card-toner = التونر
card-readings = القراءات
card-cautions = تنبيهات أُقر بها
card-keep = ما يُحفظ
card_head-zone = المنطقة
card_head-formula = التركيبة
card_head-on = وُضع
card_head-rinsed = شُطف
card_head-planned = المخطط
card_head-ran = كما جرى
card_head-levels = من، إلى، المطلوب
card_head-mixed = خُلط
card_head-strength = القوة
card_head-lightener = المفتح
card_head-developer = المؤكسد
card_head-recipe = الوصفة
card_head-grams = غرامات
card_head-strand = الخصلة
card_head-readings = القراءات
card_head-painted = عبر الزمن
card-level_alone = { LEVEL($level) }
card-numbered = { WHOLE($number) }  { $lane }
card-clocks = { $on } إلى { $rinsed }، { $ran } (المخطط { $planned })
trolley-title = ورقة العربة، { $client }
trolley-head = { DAY($on) }. { $lightener }، الملصق { WHOLE($label) } د. { WHOLE($chair) } د على الكرسي.
trolley-minutes = تُحسب الدقائق من أول منتج على الشعر. الشريط هو وقت الملصق.
trolley-order = بترتيب اليدين
trolley-mixing = قائمة الخلط
trolley-cut = شرائط للأوعية: تُقص وتُلصق
trolley-bowl = الوعاء { WHOLE($number) }، { PLAIN($volume) } فول
trolley-mixed_at = خُلط عند ____:____ ، صالح { WHOLE($life) } د
trolley_head-rinse = الشطف
trolley_head-minute = الدقيقة
trolley_head-for = لـ
trolley_head-makes = ينتج
card-pour = { WEIGHT($grams) } { PLAIN($volume) } فول
card-of = { WEIGHT($grams) } { $name }
card-formula = { PLAIN($volume) } فول{ $applications ->
        [0] {""}
        [1] {""}
       *[other] ، الوضعات: { WHOLE($applications) }
    }
card-levels = { LEVEL($before) } → { TENTHS($level) } ({ LEVEL($target) })
card-levels_open = { LEVEL($before) } →  ({ LEVEL($target) })
card-still_on = ما زال
card-toner_grams = { WEIGHT($product) } + { WEIGHT($developer) }
card-difference = الفرق عن الرغبات { TENTHS($difference) } (CIEDE2000، المتوسط).
card-tone_bowl = { $at  }: { $formula  }، { WEIGHT_TENTHS($product) } + { WEIGHT_TENTHS($developer) }، بهذا الترتيب: { $zones  }؛ شُطف { $rinses  }.
card-reading = { $lane } { LEVEL($level) } ({ $mode })
card-reading_at = { $lane  } { LEVEL($level) } عند { WHOLE($minute) } دقيقة ({ $mode  })
card-readings_listed = { $readings }.
card-caution = { CAPITAL($caution) }: { $by }, { $at }
card-worked = ما نجح: { $said  }
card-change = ما يتغير المرة القادمة: { $said  }
card-nothing_noted = لا شيء مدون
card-added = أُضيف { DAY($on) } من { $by  }: { $said  }
card-contact = أطول تلامس { WHOLE($minutes) } دقيقة.
card-contact_and_cost = أطول تلامس { WHOLE($minutes) } دقيقة، المنتج { HUNDREDTHS($cost) } { $currency  }.
card-professional_use = استعمال مهني. ملصق المنتج وورقة السلامة والأنظمة المحلية والترخيص أولا؛ وحيث تختلف عن هذه البطاقة فهي المعتمدة.
handout-title = لتأخذها معك
handout-again = نقترح أن نراك مجددا
handout-on_or_about = في حدود { DAY($on) }.
camera_card-title = بطاقة لقراءة الشعر بالكاميرا
camera_card-note_1 = اطبع بالحجم الحقيقي (100 %)، مطفأ، بلا إدارة ألوان. اتركها تجف ساعة.
camera_card-note_2 = ضع الخصلة الممسوحة مسطحة على طول النافذة لتغطيها كلها. البطاقة كاملة في الصورة، ضوء متساو، بلا فلاش.
camera_card-note_3 = قص النافذة أو ضع الخصلة عليها.
eye-reads = { $mode  }: { $way ->
        [true] يقرأ بدقة
        [light] يقرأ أفتح بـ { TENTHS($levels) } درجة
       *[dark] يقرأ أغمق بـ { TENTHS($levels) } درجة
    }؛ الأزواج: { WHOLE($pairs) }

## Practice

event-FoilOpened = { $zone  }: فُتحت للنظر
event-asked = عُرف: { $topic  }
event-mishap = عولج: { $mishap  }
event-mishap_left = تُرك: { $mishap  }
home_care-violet_shampoo = شامبو بنفسجي
home_care-ash_shampoo = شامبو رمادي
home_care-minerals = ماء عسر
home_care-heat_tools = مكاوي ساخنة
topic-reactions = ردود الفعل على الصبغة
topic-history = ما سبق عمله
topic-home_care = ما يُستعمل في البيت
topic-scalp = حالة الفروة
topic-stretch = تمدد خصلة رطبة
topic-salts = اختبار أملاح
practice_zone = منطقة { WHOLE($number) }
practice_pieces = خصل
practice_head-first = ثلاث مناطق
    .about = ثلاث مناطق متساوية، من 6 إلى 8. لتعلم اللوحة.
practice_head-six = ست مناطق متساوية
    .about = بني متوسط كله، من 5 إلى 8.5، ست مناطق بورق القصدير.
practice_head-light = على وشك
    .about = درجة 7 إلى 9.5: يمضي بسرعة، والدرجة الأخيرة تأخذ ما تأخذه الاثنتان قبلها.
practice_head-hairline = خط شعر رفيع
    .about = رأس متوسط، من 5 إلى 8.5، بشعر رفيع عند القفا والغرة والصدغين.
practice_head-band = شريط في الأطوال
    .about = من 7 إلى 9، بشريط أغمق حيث انتهت صبغة قديمة.
practice_head-coarse = سميك وداكن
    .about = درجة 3 إلى 7.5، سميك وبطيء الامتصاص.
practice_head-ends = أطراف قديمة
    .about = من 5 إلى 9، بأطراف مسامية عند 7.5 سبق تفتيحها.
practice_head-tint = «لم يُصبغ قط»
    .about = من 4 إلى نحاسي 7. البطاقة تقول طبيعي.
practice_head-painted = مرسوم في الهواء
    .about = المقدمة مرسومة في الهواء، من 6 إلى 8: تبرد وتجف.
practice_head-stuck = عالق عند البرتقالي
    .about = من 4 إلى 8، وليست كل منطقة تريد ذلك.
practice_head-evening = على ضوء المصباح
    .about = من 6 إلى 9 تحت مصباح أصفر حيث يبدو كل شيء أفتح وأدفأ.
practice_head-whole = الرأس كله
    .about = اثنتا عشرة منطقة، من 5 إلى 9 ثلجي، خط شعر رفيع، يدان اثنتان.
practice_head-random = رأس من بذرة
    .about = مسحوب من البذرة، وهو نفسه لكل من له البذرة ذاتها.
practice_head-past = رأس سابق
    .about = أحد رؤوس الاستوديو كما خُطط له، بلا اسمه.
practice_answer-reactions = «ظهر طفح في فروتي قبل سنتين بعد صبغة. حكتني أسبوعا.»
practice_answer-reactions_none = «لا، لم يصبني شيء من صبغة قط.»
practice_answer-history = «بصراحة، بني من العلبة في البيت. مرتين في الربيع.»
practice_answer-history_none = «لا شيء غير ما في بطاقتكم.»
practice_answer-home_care = «أستعمل { $uses  }.»
practice_answer-home_care_none = «شامبو بسيط فقط.»
practice_answer-scalp = حساسة في مواضع لكن لا جروح.
practice_answer-scalp_none = سليمة.
practice_answer-stretch = تتمدد وترجع ببطء.
practice_answer-stretch_none = تتمدد بمقدار الثلث وترجع.
practice_answer-salts = تسخن الخصلة خلال دقيقة وتصعد منها فقاعات صغيرة.
practice_answer-salts_none = بعد نصف ساعة لم يحدث للخصلة شيء.
mishaps-stale = وعاء قديم
mishaps-slipped = ورقة انزلقت
mishaps-dried = منتج جف
mishaps-burns = فروة تحترق
mishaps-phone = الهاتف
mishaps-shampoo = شامبو بنفسجي
mishap-stale = تكثف وعاء { $lane  }: صار قديما.
mishap-slipped = كانت هذه الورقة قد انزلقت وانفتحت. أُغلقت الآن.
mishap-dried = المنتج هنا جاف: توقف عمله.
mishap-burns = «يحرق!» { $lane  }.
mishap-phone = الهاتف يرن. الرد يأخذ { WHOLE($minutes) } دقائق.
mishap-shampoo = «كان علي أن أقول: أغسل بشامبو بنفسجي، وأمس أيضا.»
debrief_worked-all_on_target = { $count ->
        [one] انتهى المسار ضمن نصف درجة من هدفه.
       *[other] كل المسارات ({ WHOLE($count) }) انتهت ضمن نصف درجة من أهدافها.
    }
debrief_worked-most_on_target = { WHOLE($count) } من { WHOLE($of) } مسارات انتهت ضمن نصف درجة من أهدافها.
debrief_worked-some_on_target = { $count ->
        [one] مسار واحد من { WHOLE($of) } انتهى ضمن نصف درجة من هدفه.
       *[other] { WHOLE($count) } من { WHOLE($of) } مسارات انتهت ضمن نصف درجة من أهدافها.
    }
debrief_worked-walls = لم يبق منتج بعد وقت ملصقه.
debrief_worked-looks = النظرات { WHOLE($count) }، ولا تكاد واحدة تسبق وقت فائدتها.
debrief_worked-eye = قراءاتك ({ WHOLE($count) }) صحيحة: لا انحياز يذكر.
debrief_worked-time = من أول مقطع إلى آخر شطف في { WHOLE($minutes) } دقيقة، لا أطول من نصيحة اللوحة.
debrief_worked-burn = احترقت وشُطفت خلال { TENTHS($minutes) } دقيقة.
debrief_worked-tone = كل جزء عليه تونر قريب من رغبته.
debrief_worked-asked_reactions = سألت عن ردود الفعل والتزمت بالمسموح.
debrief_worked-asked_history = سألت عما سبق: لم تكن البطاقة تعرف الصبغة القديمة.
debrief_worked-strand = قرأت اختبار خصلة أولا.
debrief_worked-declined = كان اختبار الأملاح إيجابيا ولم تفتح. تلك كانت المهمة كلها.
debrief_change-salts = كان على هذا الشعر أملاح معدنية ووُضع المفتح. اختبر الأملاح حيث لا يُعرف التاريخ.
debrief_change-reacted = هذا الشخص يتحسس من الصبغة المؤكسدة ووُضع تونر مؤكسد. اسأل عن ردود الفعل ودوّن الجواب.
debrief_change-never_asked = هذا الشخص يتحسس من الصبغة المؤكسدة ولم تسأل. اسأل الجميع كل مرة.
debrief_change-burn = احترقت أكثر من ثلاث دقائق قبل الشطف. اشطف فورا مهما كانت الدرجة.
debrief_change-passed_wall = { $count ->
        [one] تجاوز { CAPITAL($lane) } وقت ملصقه.
       *[other] تجاوزت مسارات ({ WHOLE($count) }) وقت ملصقها، منها { $lane }.
    } اشطف عند الحد مهما كانت الدرجة.
debrief_change-unread = شطفت { WHOLE($count) } من { WHOLE($of) } مسارات بلا نظرة. افتح كلا منها مرة قبل الشطف.
debrief_change-eye_light = قرأت أفتح بنحو { TENTHS($levels) } درجة على { WHOLE($count) } نظرات ({ $mode  }). ضع الخصلة أولا بجانب العينة الأغمق.
debrief_change-eye_dark = قرأت أغمق بنحو { TENTHS($levels) } درجة على { WHOLE($count) } نظرات ({ $mode  }). ضع الخصلة أولا بجانب العينة الأفتح.
debrief_change-too_long = تجاوز { CAPITAL($lane) } هدفه بـ { TENTHS($levels) } درجة. اشطفه أبكر.
debrief_change-too_soon = شُطف { CAPITAL($lane) } قاصرا بـ { TENTHS($levels) } درجة وكان الوقت متاحا. اتركه أطول.
debrief_change-planned_short = لم يكن { CAPITAL($lane) } ليقترب أكثر من { TENTHS($levels) } درجة بهذه الخطة. خطط لدقائق أكثر أو وعاء أقوى أو زيارة أخرى.
debrief_change-too_many_looks = { WHOLE($count) } نظرات حيث كانت { WHOLE($fewer) } تكفي. كل فتح يكلف حرارة ويدا.
debrief_change-late = شُطف { CAPITAL($lane) } بعد موعده بـ { WHOLE($minutes) } دقيقة.
debrief_change-slow = جاء آخر شطف متأخرا { WHOLE($minutes) } دقيقة عن نصيحة اللوحة.
debrief_change-slipped = انزلقت ورقة ولم يرها أحد قبل الشطف. تفقد الأوراق كلها بين حين وآخر.
debrief_change-dried = جف المنتج ولم يره أحد. ما جف توقف: جدده أو اشطفه.
debrief_change-stale = استُعمل وعاء بعد أن صار قديما. اخلط طازجا.
debrief_change-history = البطاقة قالت طبيعي ولم يسأل أحد. كانت فيه صبغة قديمة.
debrief_change-tone = التونر على { $lane  } بعيد عن الرغبة. اقرأ الدرجة والدفء من جديد قبل خلط الوعاء.
debrief_change-not_started = لم يوضع شيء بعد: تابع ثم انظر.
debrief_change-harder = لا شيء جسيم. جرب رأسا أصعب أو نفسه بمساعدة أقل.

## The command line

cli-min = دقيقة
cli-level = درجة
cli-colour = اللون
cli-undertone = الأرضية: { $undertone }. التشبع الباقي، الأفضل أولا:
cli-plan = { $aim }: آخر شطف بعد { WHOLE($last) } دقيقة من أول منتج، { WHOLE($chair) } دقيقة على الكرسي، { $strengths } فول، الأوعية { WHOLE($bowls) }.
cli-aim_simple = بسيط
cli-aim_gentle = لطيف
cli-aim_even = متساو
cli-aim_quick = سريع
cli-no_strength = بلا
cli-left_out = { $lane }: متروك. { $why }
cli-again = جولة ثانية حيث يسمح الملصق:
cli-mixing_list = قائمة الخلط:
cli-pour = { WEIGHT_TENTHS($grams) } من { PLAIN($volume) } فول
cli-bowl = { WHOLE($at) } دقيقة: { WEIGHT_TENTHS($grams) } { $lightener }، { $pours }، لـ { $lanes }
cli-visit = المرة { WHOLE($number) } عند المغسلة في { WHOLE($at) } دقيقة:
cli-lane = { $lane }: { PLAIN($volume) } فول، الوضع { WHOLE($start) }-{ WHOLE($end) }، جاهز { $early }/{ $likely }/{ $late }، { $ending ->
        [wiped] مُسح
        [dried] جُفف
       *[rinsed] شُطف
    } { WHOLE($rinse) }، الحد { WHOLE($wall) } دقيقة، الدرجة { TENTHS($level) }
cli-never = أبدا
cli-tone_bowl = الوعاء { WHOLE($number) }: { WEIGHT_TENTHS($grams) } { $shades }، { $mixed }
cli-neat = صرف
cli-tone_part = { $part }: الوعاء { WHOLE($bowl) }، وُضع { WHOLE($on) }، شُطف { WHOLE($off) } دقيقة، { TENTHS($difference) } عن الرغبة
cli-learnt = { $lane }: { HUNDREDTHS($extent) } بعدا، { HUNDREDTHS($rate) } سرعة، جاهز { $early } إلى { $late } دقيقة{ $odd ->
        [misfit] ؛ القراءات لا تتوافق
        [stray] ؛ خلاف كل شعر من نوعه
       *[none] {""}
    }
cli-help_fervens = التفتيح واللون والخطة من سطر الأوامر.
cli-help_curve = الدرجة واللون عبر الزمن
cli-help_neutralise = عائلات الأصباغ مرتبة باللون الذي تتركه
cli-help_plan = خطة ملف خدمة
cli-help_tone = تونر نتائج ملف خدمة
cli-help_advise = نصيحة الكرسي عند دقيقة من ملف خدمة
cli-help_learn = ما علّمته قراءات ملف خدمة وخصله
cli-help_batch = طلبات JSON على الإدخال القياسي، سطرا سطرا بجواب لكل سطر
cli-help_reader = قارئ ألوان محاكاة محلي
cli-help_aim = simple أو gentle أو even أو quick؛ وإلا فما في الملف
cli-help_json = اطبع JSON

## Words of a typed line, parted by bars; all that this page calls a thing is one of them

shorthand-word_all = الكل|كل الرأس|الرأس
shorthand-word_but = ما عدا|إلا|بدون
shorthand-word_left = يسار|الأيسر|أيسر
shorthand-word_right = يمين|الأيمن|أيمن
shorthand-word_want = الرغبة|رغبة|الهدف|إلى
shorthand-word_keep = اترك|يبقى|بلا منتج
shorthand-word_mm = مم
shorthand-word_and = و|+|&|عند|من
shorthand-word_level = درجة|الدرجة
shorthand-part_lengths = الأطوال|أطوال
shorthand-part_regrowth = النمو الجديد|نمو جديد
shorthand-part_root = الجذر|الجذور|جذر
shorthand-part_band = الشريط|شريط
shorthand-part_ends = الأطراف|أطراف
shorthand-history_virgin = طبيعي
shorthand-history_tinted = مصبوغ|صبغة
shorthand-history_lightened = مفتح
shorthand-history_direct_dye = صبغة مباشرة
shorthand-history_henna = حناء
shorthand-history_metallic = أملاح معدنية|أملاح
shorthand-history_unknown = غير معروف
shorthand-porosity_low = مقاوم|غير مسامي
shorthand-porosity_normal = مسامية عادية
shorthand-porosity_high = مسامي|مسامي جدا
