# English, as colour technicians say it. One message a code; what stands behind $ are its values.
# Functions: WHOLE(8.4) 8, TENTHS 8.4, HUNDREDTHS 8.40, PLAIN (as it is), PERCENT(0.12) 12%, DAY and DAY_OF_YEAR for
# days, SPAN(160) 2 h 40, FIELD for fields, CAPITAL and LOWER for texts. A list comes as "a, b, c".

## Words of the trade

undertone-deep_red_brown = deep red-brown
undertone-red_brown = red-brown
undertone-red = red
undertone-red_orange = red-orange
undertone-orange = orange
undertone-yellow_orange = yellow-orange
undertone-yellow = yellow
undertone-pale_yellow = pale yellow
undertone-palest_yellow = palest yellow

dye_family-yellow = yellow
dye_family-orange = orange
dye_family-red = red
dye_family-violet = violet
dye_family-blue = blue
dye_family-green = green

dye_hue-red = red
dye_hue-pink = pink
dye_hue-orange = orange
dye_hue-yellow = yellow
dye_hue-green = green
dye_hue-blue = blue
dye_hue-violet = violet

covering-open_air = open air
covering-foil = foil
covering-film = film

history-virgin = virgin
history-tinted = tinted
history-lightened = lightened
history-direct_dye = direct dye
history-henna = henna
history-metallic = metallic salts
history-unknown = unknown

tone-icy = icy
tone-cool = cool
tone-neutral = neutral
tone-beige = beige
tone-warm = warm
tone-gold = gold
tone-copper = copper
tone-red_brown = red-brown
tone-rose = rose
tone-silver = silver
tone-pearl = pearl
tone-pastel = pastel

thickness-fine = fine
thickness-medium = medium
thickness-coarse = coarse

porosity-low = low
porosity-normal = normal
porosity-high = high

pastel-rose = pastel rose
pastel-peach = peach
pastel-mint = mint
pastel-sky = sky
pastel-lilac = lilac

elasticity-returns = returns
elasticity-slow = slow
elasticity-stays_stretched = stays stretched
elasticity-snaps = snaps

reading_mode-through_product = through product
reading_mode-wiped = wiped
reading_mode-rinsed_wet = rinsed wet
reading_mode-dry = dry

grab-little = little
grab-even = even
grab-much = much

hue-grey = grey
hue-pink = pink
hue-red_warm = red-warm
hue-orange_warm = orange-warm
hue-golden = golden
hue-yellow = yellow
hue-khaki_warm = khaki-warm
hue-green = green
hue-blue = blue
hue-violet = violet
hue-faint = faintly { $hue }

counter-red_or_pink = red or pink
counter-two = { $first }-{ $second }

head-low_back = Low back
head-high_back = High back
head-left_back = Left back side
head-right_back = Right back side
head-crown = Crown
head-left_side = Left side
head-right_side = Right side
head-top = Top
head-nape = Nape
head-fringe = Fringe
head-left_temple = Left temple
head-right_temple = Right temple

part-lengths = lengths
part-regrowth = regrowth
part-root = root
part-ends = ends
part-band = band

span-minutes = { $minutes } min
span-hours = { $hours } h
span-both = { $hours } h { $minutes }
vol = { PLAIN($volume) } vol

lane-part = { $zone } { $part }
lane-part_at = { $zone } { $part } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane_part-at = { $part } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane-piece = { $lane }, { $piece }
lane-again = { $lane } again
lane-shadow = { $lane }, root shadow
lane-because = { $lane }: { $why }
lanes = { $lanes }
lanes-more = { $lanes } and { WHOLE($more) } more

## Cautions: a title, and what to do

caution = { $title }. { $advice }

caution-scalp_broken = Scalp is broken, sore or sunburnt
    .advice = Do not lighten. Book again once it has healed.
caution-elasticity = { $elasticity ->
        [snaps] A wet strand snaps
       *[stays_stretched] A wet strand stays stretched
    }
    .advice = Do not lighten. Care and cutting first, then test again.
caution-metallic_salts = Salts test is positive
    .advice = Do not lighten: metallic salts react violently with peroxide. The hair has to grow out.
caution-build_up = Build-up from products at home
    .advice = Clarify first: wash the build-up out, then read the hair again and tick it.
caution-scalp_sensitive = Sensitive scalp
    .advice = Stay off the scalp; stop at the first burning.
caution-elasticity_slow = A wet strand returns slowly
    .advice = Weaker developer, shorter time, strand test.
caution-patch_test_open = No patch test read after { WHOLE($wait) } h
    .advice = Oxidative toner stays locked; plan a non-oxidative one, or book the tone.
caution-reaction_open = An allergy or reaction is told, and not asked about
    .advice = Ask: to oxidative colour? Answer yes or no beside it; until then nothing is planned or toned.
caution-allergies = Allergies told
    .advice = “{ $told }”: check every label.
caution-medication = Medication told
    .advice = Some medicines change skin and hair: strand test, and ask a doctor when in doubt.
caution-under_16 = Under { WHOLE($age) }
    .advice = Oxidative dye is not intended for people under { WHOLE($age) }; local codes decide the rest.
caution-metallic_history = Metallic salts in the hair's history
    .advice = Do not lighten. The hair that carries them has to grow out or be cut.
caution-henna_untested = Henna, and no salts test
    .advice = Do the salts test on a cut strand before anything else.
caution-unknown_untested = Unknown history, and no salts test
    .advice = Do the salts test on a cut strand before anything else.
caution-henna = Henna lifts little and unevenly
    .advice = Strand test first; promise less.
caution-elasticity_zone = Stretches and stays, or snaps: { $lanes }
    .advice = Leave these out, or cut and care first, then test again.
caution-breakage = Breaking hair: { $lanes }
    .advice = Leave these out; cut and care first.
caution-frail = Not quite sound: { $lanes }
    .advice = { WHOLE($most) } vol at most there, short, and look often.
caution-direct_dye = Old green or blue dye: { $lanes }
    .advice = 1.5 % only, several visits; leave brown pieces out; a green rest is countered with red or pink.
caution-delicate = Delicate hair: { $lanes }
    .advice = Lifts fast and breaks: { WHOLE($most) } vol at most, later, and never the whole time.
caution-frail_toned = Hair that breaks or stays stretched
    .advice = Pigment washes and the weakest developer only; care first.
caution-lightened = Hair that has been lightened
    .advice = Never overlap hair that is already light; keep to the new growth.
caution-white_in_one = White from below level { WHOLE($least) }
    .advice = Realistic in one visit from level { WHOLE($least) } up; agree on two visits or a lower target.
caution-long_regrowth = Regrowth past { LENGTH($most) }: { $lanes }
    .advice = Two root applications are planned: off the scalp first, then the last { LENGTH($most) }.
caution-old_ash = Violet or blue rest: { $lanes }
    .advice = Draw it out with old product and shampoo, or a remover, before it is lightened; it hides the level.
caution-uneven_ground = Two kinds of hair to one level: { $zones }
    .advice = Hair with highlights that is lightened all over stays uneven: say so, or give each kind its own wish.
caution-curl = Curl loosens with lift: { $lanes }
    .advice = Tell the client; comb every section through, and put more product on what has drunk it.
caution-grey = Grey among it, { PERCENT($share) }: { $lanes }
    .advice = Grey strands stay brighter: blend the rest toward them, and expect them cooler after toner.
caution-piece_base = Keep the base of the piece clean
    .advice = Product on knots, lace or seams bleeds through and weakens them: start off the base, work flat.
caution-fill_first = More than { WHOLE($most) } levels deeper: { $lanes }
    .advice = Pre-fill with warm pigment first, or it fades green and patchy within days.
caution-no_strand_test = No strand test
    .advice = Hair that was worked on before lifts its own way: test a hidden strand, the plan learns from it.
caution-professional_use = Label, gloves, air
    .advice = Follow the product's label and data sheet; gloves, fresh air, fold powder in without dust. Burning: cool water at once. Eyes: rinse 15 min and get help.

caution-toning_use = Label, gloves, skin
    .advice = Follow the toner's label and data sheet; gloves, barrier cream on the skin, no heat. Burning: cool water at once. Eyes: rinse 15 min and get help.

toner_block-dye_reaction = Reacted to oxidative dye
    .advice = Pigmented shampoo and conditioner only.
toner_block-under_16 = Under { WHOLE($age) }
    .advice = Oxidative dye is not intended for people under { WHOLE($age) }.
toner_block-reaction_open = An allergy or reaction is told
    .advice = Ask whether it was to oxidative colour, and answer on the consultation; pigmented shampoo only until then.
toner_block-patch_test = Patch test not read
    .advice = Place it, read it after { PLAIN($wait) } h, or take a non-oxidative shade.
toner_block-patch_test_old = Patch test too old
    .advice = Place a new one and read it after { PLAIN($wait) } h.
toner_block-patch_test_early = Patch test younger than { PLAIN($wait) } h
    .advice = Wait, or take a non-oxidative shade.

## What sets how strong a developer may be

volume_limit-hair = { WHOLE($most) } vol is the most for hair
volume_limit-label = label of { $product }
volume_limit-scalp = on the scalp, label of { $product }
volume_limit-delicate = delicate hair
volume_limit-lightened = hair that was lightened before
volume_limit-porous = porous hair
volume_limit-fine = fine hair
volume_limit-frail = hair that is not quite sound
volume_limit-old_dye = old direct dye is lifted with 1.5 %
volume_limit-strongest_bottle = strongest bottle on the shelf
volume_limit-gentle = the gentle aim

## What may go on today

stop-scalp_burns = The scalp burns: rinse at once with cool water
stop-hair_gives = { $elasticity ->
        [snaps] The hair snaps: rinse at once
       *[stays_stretched] The hair stays stretched: rinse at once
    }

heat_block-label = The label of { $product } does not allow heat.
heat_block-scalp = This zone reaches the scalp: no heat on skin.

refresh_block-label = The label of { $product } allows { $most ->
        [1] one application
       *[other] { WHOLE($most) } applications
    } in one visit.

again_block-toned = it has been toned
again_block-scalp_burns = the scalp burns: rinse at once with cool water
again_block-hair_gives = { $elasticity ->
        [snaps] the hair snaps: rinse at once
       *[stays_stretched] the hair stays stretched: rinse at once
    }
again_block-elasticity = the hair does not simply return when stretched
again_block-scalp = the scalp was felt
again_block-twice = it has been lightened twice today
again_block-contact = had product on for { WHOLE($minutes) } min today; past { WHOLE($most) } min it is left in peace
again_block-label = the label of { $product } allows { WHOLE($most) } { $most ->
        [1] application
       *[other] applications
    } a visit
again_block-no_gain = no developer would gain enough within its limits
again_block-little_gain = it would only come to { TENTHS($end) }

## The strand bench

head_move-as_expected = This head lifts as expected
head_move-moved = This head lifts { $ways } than expected
head_move-far_more = { WHOLE($percent) } % farther
head_move-far_less = { WHOLE($percent) } % less far
head_move-fast_more = { WHOLE($percent) } % faster
head_move-fast_less = { WHOLE($percent) } % slower

## The verdict

verdict_title-unread = Read the head
verdict_title-today = Go today
verdict_title-tone = Tone today
verdict_title-deepen = Deepen today
verdict_title-strand_test = Test strands today
verdict_title-clarify = Clarify first
verdict_title-not_today = Not today
verdict_title-never = Not in six visits
verdict_title-more_time = More time, or two visits
verdict_title-visits = Go in { WHOLE($visits) } visits

verdict-undertone = { $zone }: read { LEVEL($read) }, but { $seen } is what a { WHOLE($nearest) } shows: read again, dry.
verdict-stays = { $lane }, { LEVEL($start) } to { LEVEL($target) }: stays near { TENTHS($level) } after { WHOLE($visits) } visits. Lower the wish.
verdict-more_visits = { $lane }, { LEVEL($start) } to { LEVEL($target) }: promise { TENTHS($sure) } today ({ TENTHS($level) } is likely), the wish on visit { WHOLE($visit) }.
verdict-two_rounds = Two rounds today, where the label allows: { $lanes } once more after the rinse, to about { TENTHS($level) }.
verdict-every_zone = Every zone comes to its level today, inside the label's time.
verdict-unsure = { $lane }: promise { TENTHS($sure) }, hope for { TENTHS($likely) }. A strand test narrows this.
verdict-time = About { SPAN($needed) } in the chair.
verdict-time_long = About { SPAN($needed) } in the chair: a long day for both. Fewer zones, two visits, or a second pair of hands.
verdict-time_within = About { SPAN($needed) } in the chair; { $of ->
        [booked] { SPAN($limit) } is booked
       *[has] { SPAN($limit) } the client has
    }.
verdict-time_over = About { SPAN($needed) } in the chair, { $of ->
        [booked] { SPAN($limit) } is booked
       *[has] { SPAN($limit) } the client has
    }: fewer zones, more time, or two visits.
verdict-no_patch_test = No clear patch test: only a non-oxidative toner today.
verdict-empty_shelf = The shelf has no lightener or no developer: nothing can be planned.
verdict-tone_parts = { WHOLE($parts) } { $parts ->
        [1] part goes
       *[other] parts go
    } to the basin as read; nothing is lightened.
verdict-deeper = { $lanes }: { LEVEL($levels) } levels deeper at most, off the scalp where it can be.
verdict-nothing_deeper = Nothing is wanted deeper: set a deeper level for a zone or a part.
verdict-strand_test = { WHOLE($strands) } { $strands ->
        [one] strand
       *[other] strands
    } told: set them up on the strand bench, each with its own developer; nothing else is lightened.
verdict-old_dye = Old green or blue fades out over several visits: { $lanes }. What is left today is turned with a little red or pink.
verdict-nothing_to_lift = No zone has anything to lift: set a lighter level, or go on to the tone.

reach-all = all to { LEVEL($level) }
reach-lanes = { $lanes } to { LEVEL($level) }
reach-many = { WHOLE($count) } zones to { LEVEL($level) }

chair_time-consultation = consultation and mixing
chair_time-applying = applying
chair_time-between = trips to the basin between
chair_time-again = a second round
chair_time-processing = processing and changing zones
chair_time-rinse = last rinse
chair_time-tone = tone
chair_time-care = care
chair_time-drying = drying

## The plan

order-coarse = coarse hair resists: first
order-low_porosity = low porosity resists: first
order-history = { $history } hair resists: first
order-delicate = delicate: last and weaker
order-usual = in the usual order, back to front
order-cools = cools in the air: first

kept-at_level = stays as it is, at { LEVEL($level) }
kept-left_out = left out, no product
kept-deeper = to be made deeper, to { LEVEL($level) }, with toner
plan-meeting = { $meeting ->
        [soft] The line it meets is soft: feather the edge over it, and look where they meet every 10 to 15 min.
       *[jagged] The line it meets is jagged: stay short of it, follow it hair by hair, and look there every 10 to 15 min.
    }
plan-two_root_lanes = { LENGTH($regrowth) } of regrowth would band in one root application past { LENGTH($most) }: first off the scalp, then the last { LENGTH($most) }.
aim_why-simple = { $strengths } vol, { WHOLE($bowls) } { $bowls ->
    [one] bowl
   *[other] bowls
}.
aim_why-simple_beside = { $strengths } vol on all; { $other } would save { WHOLE($minutes) } min.
aim_why-gentle = { PERCENT($share) } less contact than simple.
aim_why-even = All within { TENTHS($levels) } level of their wish from each other, { TENTHS($other) } when simple.
aim_why-quick = { WHOLE($minutes) } min sooner than simple.
plan-held = { PLAIN($asked) } vol asked, held at { PLAIN($volume) } ({ $limit }).
plan-raised = { PLAIN($asked) } vol asked, raised to { PLAIN($volume) } (weakest bottle on the shelf).
plan_short-stronger = { PLAIN($volume) } vol cannot lift this far; up to { PLAIN($most) } vol is allowed here.
plan_short-stops = This hair stops short with { PLAIN($volume) } vol ({ $limit }): lower the target or plan another visit.
plan-known_head = { $visits ->
    [one] Last visit
   *[other] { $visits } visits
  }: { $move }
plan_short-stalls = Hair like this stalls near { TENTHS($level) } in one visit, whatever the time: plan another visit or lower the target.
plan_short-label = The label's { PLAIN($label) } min end before its last sections are done: work it in rows, in fewer sections, or over another visit.
plan_short-later_or_stronger = { PLAIN($volume) } vol would need longer; up to { PLAIN($most) } vol is allowed here.
plan_short-later = { PLAIN($volume) } vol ({ $limit }) would need longer than its visit leaves.
left_out-no_weak_bottle = { $why } allows { PLAIN($most) } vol, the weakest bottle is { PLAIN($weakest) } vol: put a weaker one on the shelf.

mix-add_developer = { TENTHS($volume) } vol instead of { PLAIN($wanted) }: add { WEIGHT($grams) } of { PLAIN($bottle) } vol.
mix-anew = { TENTHS($volume) } vol instead of { PLAIN($wanted) }: mix anew.
mix-thin = Thin, 1 : { HUNDREDTHS($parts) }: add { WEIGHT($grams) } of lightener.
mix-thick = Thick, 1 : { HUNDREDTHS($parts) }: add { WEIGHT($grams) } of developer.

## The chair

advice-label_up = The label's time is up: rinse now
advice-ready = Ready: rinse this zone
advice-leave = Leave it
advice-leave_sure = Leave it; sure enough to rinse then
advice-leave_as_sure_as = Leave it; another look would tell no more
advice-misfit = These readings do not fit: wipe, dry it and read again
advice-leave_to_label = Leave it to its label's time
advice-read = Wipe and read
advice-read_first = Wipe and read a first foil
advice-stops_near = Stops near { TENTHS($level) } by the label's time: plan a deeper tone or another visit
advice-stops_near_help = Stops near { TENTHS($level) } by the label's time: { $ways } or another visit
short_help-refresh = refresh it
short_help-warm = warm it
short_help-deeper = a deeper tone

act-stop = Rinse { $lane } now
act-rinse = Rinse { $lane }
act-wipe_out = Wipe out { $lane }
act-dry_out = Dry or wipe off { $lane }
act-rinse_two = Rinse { $lanes }
act-rinse_together = Rinse { WHOLE($count) } zones together
act-read = Wipe and read { $lane }
act-short = { $lane } will stop short
act-finish = Finish applying { $lane }
act-finish_refresh = Finish the new product on { $lane }
act-start = Start { $lane }
act-mix = Mix the bowl for { $lane }
act-new_bowl = New bowl for { $lane }
act-should_look = should look like { LEVEL($level) }, { $undertone }
act-target = Target { LEVEL($target) }
act-read_again = These readings do not fit: wipe, dry it, read again; { $seen }
act-read_at = Read at { LEVEL($level) }; target { LEVEL($target) }
act-read_at_last_foils = Read at { LEVEL($level) }; target { LEVEL($target) }; last foils, look at them first
act-bowl_is_stale = this bowl is { WHOLE($age) } min old, its life is { WHOLE($life) }: what is left lifts less
act-clock_starts = { PLAIN($volume) } vol, last section on: its clock starts
act-to_apply = { PLAIN($volume) } vol, { WHOLE($minutes) } min to apply
act-review = All zones rinsed: review
    .detail = Dry a little, read every zone
act-basin = At the basin now
    .detail = Toner and its clocks stand there

note-own_product = { $product }
note-misfit = read again, dry
note-stray = lifts unlike any hair of its kind
note-warmed = warmed
note-refreshed = { $times ->
        [1] refreshed
       *[other] refreshed { WHOLE($times) } times
    }
note-dried = dried, stopped
note-barrier = barrier
note-open_air = open air, dries
note-dragged = dragged product
note-stale_bowl = stale bowl, lifts { PERCENT($lost) } less
note-scalp_warm = scalp feels warm
note-returns_slowly = returns slowly
note-last_foils = last foils

option-refresh = Refresh with { PLAIN($volume) } vol
option-cool = Take the warmth off
option-warm = Warm it
option-barrier = Leave it on as a barrier, roots go on
option-pull_out = Pull it out of the { $covering }
option-cover = Cover it with foil
option-drag = Drag product to the ends
option-label_runs = { $lane }: their label's time runs
option-dry = Dry it out
option-stops_at = stops at { TENTHS($level) }; its label's time runs on

effect-as_before = ready as before
effect-sooner = ready { WHOLE($minutes) } min sooner
effect-later = ready { WHOLE($minutes) } min later
effect-ready_in = ready in about { WHOLE($minutes) } min
effect-reaches = reaches { TENTHS($level) } by its label's time

replan-change = { PLAIN($before) } → { PLAIN($volume) } vol for { $lane }
replan-lifts_more = { $lane } lifts { PERCENT($share) } more than expected: { $change }
replan-lifts_less = { $lane } lifts { PERCENT($share) } less than expected: { $change }
replan-early = It goes on { WHOLE($minutes) } min earlier than planned: { $change }
replan-read = What was read moves it: { $change }

## The review

band = { $facts }
band-beside_zone = the rest of the zone
band-beside_head = most of the head
band-rest = { $amount ->
        [faint] faint
        [clear] clear
       *[strong] strong
    } { $hue } rest
band-darker = { TENTHS($levels) } { $levels ->
        [1] level
       *[other] levels
    } darker than { $beside }
band-lighter = { TENTHS($levels) } { $levels ->
        [1] level
       *[other] levels
    } lighter than { $beside }
band-warmer = warmer than { $beside }
band-cooler = cooler than { $beside }
band-difference = difference { WHOLE($difference) }
band-width = { LENGTH($mm) } wide
band-whole_zone = the whole zone

way-tone = Tone it now
way-again = Lighten again today
way-visit = Another visit
way-lower = Lower the wish
way_tone-on_target = On target
way_tone-short = { TENTHS($short) } { $short ->
        [1] level
       *[other] levels
    } short: toned at this depth
way_tone-formula = { $formula }, { WHOLE($minutes) } min, difference { TENTHS($away) } from the wish
way_again-gain = { TENTHS($level) } → about { TENTHS($end) }, { WHOLE($so_far) } min of product so far
way_again-not_planned = cannot be planned, { WHOLE($so_far) } min of product so far
way_visit-later = Tone it now at { LEVEL($level) }; the last { TENTHS($short) } levels when the hair has rested
way_lower-even = The whole head at { LEVEL($level) }: even today

review-read_first = Read { $lane }{ $more ->
        [0] {""}
       *[other] {" "}and { WHOLE($more) } more
    } dry or damp first.
review-again = Lighten again today: { $lanes }. The rest waits for its toner.
review-later = Tone now; { $lanes } can go further at another visit.
review-on_target = All on target: tone now.

## The tone

tone-counter = { CAPITAL($undertone) } at { LEVEL($level) }: { $counter }; { $instead } alone would leave it { $left }
tone-counter_rest = A { $rest } rest on { $undertone } at { LEVEL($level) }: { $counter }; { $instead } alone would leave it { $left }
tone-empty_shelf = There is no toner on the shelf.

gives_up-nearest = the nearest this shelf comes
gives_up-apart = less even, by { TENTHS($apart) }
gives_up-away = { TENTHS($away) } farther from the wishes
gives_up-worst = one part { TENTHS($away) } farther from its wish
gives_up-nothing = gives nothing up
gives_up-gains = { TENTHS($away) } nearer, not worth another bowl

tone_act-apply = Bowl { WHOLE($bowl) } on: { $lanes }
tone_act-stop = Rinse the toner, its label's time is up: { $lanes }
tone_act-emulsify = Emulsify: { $lanes }
    .detail = damp hands, work it through the ends
tone_act-strand = Rinse one low strand and look: { $lanes }
    .detail = pull it back over after
tone_act-rinse = Rinse the toner: { $lanes }
tone_act-bowl = { $formula }, { $parts ->
    [1] { WHOLE($most) } min
   *[other] one after another; the first is on { WHOLE($most) } min, the last { WHOLE($least) } min
}
tone_act-should_look = should look like this: { $formula }

would_reach-shade = { $family }, depth { LEVEL($level) }, mixed 1:{ PLAIN($parts) }, would reach it
would_reach-lighter = no shade would: the hair has to be at { LEVEL($level) } for it
would_reach-drawn_out = draw the { $rest } out first, then it would
would_reach-nothing = no kind of shade would: wish another colour
tone-much = { WEIGHT($grams) } in all is more than the usual 60 to 120: { WHOLE($parts) } parts of long or dense hair
tone-taught_by = goes by a strand of { $lanes }
tone-fill = Fill { $lanes } first with { $warm ->
    [copper] a warm copper-gold
   *[red_brown] a warm red-brown
}, 10 min, wiped off: hair this much lighter does not hold the deep shade without it.

toner_warning-looks_dark = It only looks dark: about { PERCENT($share) } of the dye is in.
    .help = Product on the hair hides the result: rinse one low strand and look, pull product back over if it needs longer.
toner_warning-hidden = Product on the hair hides the result: rinse one low strand and look before you rinse it all.

remedy-counter = Counter it with red or pink
remedy-deeper = Go deeper, neutral
remedy-toward_ends = Tone the rest toward these ends
remedy-warm = Warm these ends
remedy-draw_out = Draw it out first: left-over lightener with shampoo, or a remover

probe-same = Before the probe: { $before }, { WHOLE($minutes_before) } min. Now the same for { WHOLE($minutes) } min.
probe-moved = Before the probe: { $before }, { WHOLE($minutes_before) } min. Now { $now }, { WHOLE($minutes) } min; ash { PERCENT($ash_before) } → { PERCENT($ash) } of the dye, gold and neutral { PERCENT($warm_before) } → { PERCENT($warm) }.

## Afterwards

next_visit-closed = The studio is closed on { DAY($day) }
next_visit-rests = The hair rests six weeks before it is lightened further
next_visit-rests_long = The hair rests six weeks before it is lightened further; the regrowth is past { LENGTH($most) } by then and is done as two lanes
next_visit-roots = Just before the regrowth is longer than { LENGTH($most) }: one root application, no band
next_visit-taught = the strands have taught how this head lifts: now it can be planned
next_visit-tone = Nothing to retouch at the scalp: the tone is refreshed

reminder = Your visit is on { DAY($on) }. { $begin } please use no { $hair ->
        [toned] violet, blue or ash shampoo and colour conditioner
       *[plain] coloured shampoo or conditioner
    }, no box colour, no henna, and no oils or dry shampoo on the last two days. Wash the day before, with a plain shampoo. Tell us of any medicine, allergy or sore scalp that is new.
reminder-from_now = From now on
reminder-from_day = From { DAY_OF_YEAR($day) } on

last_time = { $ran }: { $did }; { $then }
last_time-ran = { PLAIN($volume) } vol, { WHOLE($minutes) } min
last_time-ran_in_more = { PLAIN($volume) } vol, { WHOLE($minutes) } min in { WHOLE($applications) } applications
last_time-ran_past_label = { PLAIN($volume) } vol, { WHOLE($minutes) } min, past the label
last_time-came_to_target = came to the target
last_time-came_short = came { TENTHS($levels) } short
last_time-came_past = came { TENTHS($levels) } past it
last_time-same_again = the same again
last_time-corrected = { WHOLE($volume) } vol for { WHOLE($minutes) } min
last_time-most = { WHOLE($volume) } vol for { WHOLE($minutes) } min is the most one application may have: two applications, or another visit

gain-touch = a touch
gain-steps = { $count ->
        [1] one step
        [2] two steps
        [3] three steps
        [4] four steps
        [5] five steps
       *[other] six steps
    }
gain-several = several steps

handout-done = What we did
handout-nothing_done = We looked at your hair and planned together.
handout-lightened = We lightened { LOWER($lanes) } by { $gain }.
handout-palest = Underneath, the lightest parts are now { $undertone }.
handout-toned = We toned it toward { $tones }.
handout-short = It is not where we want it to end yet: the rest comes at another visit, when the hair has rested.
handout-care = How to care for it
    .wash = Wait 48 hours before the first wash; then wash seldom, lukewarm, with a mild shampoo.
    .care = Use a conditioner every time, and a bond or protein treatment once a week for four weeks.
    .heat = Protect it from heat, sun, chlorine and salt water; dry it gently, comb it from the ends up.
    .fades = A toner fades over the weeks. If it turns warm, a violet conditioner once a week helps, until we tell you to stop.
handout-watch = When to call
    .skin = If the scalp burns, blisters or itches for more than a day, or the face swells: rinse with cool water and see a doctor.
    .hair = If hair breaks or stretches like gum when wet: no heat, no colour, and call us.
handout-before_next = Before the next visit
handout_tone-icy = an icy white
handout_tone-cool = a cool tone
handout_tone-neutral = a neutral tone
handout_tone-beige = a beige
handout_tone-warm = a warm tone
handout_tone-gold = a gold tone
handout_tone-copper = a copper
handout_tone-red_brown = a red-brown
handout_tone-rose = a rose
handout_tone-silver = a silver tone
handout_tone-pearl = a pearl tone
handout_tone-pastel = a pastel tone

## Limits: how a field must be

limit-number = a number
limit-finite = a finite number
limit-whole = a whole number
limit-flag = true or false
limit-string = a text
limit-given = given
limit-list = a list
limit-object = a JSON object
limit-known_field = a field that is known here
limit-field_of = a field of { $kind } ({ $known })
limit-one_of = one of { $known }
limit-one_of_zones = one of the zones { $known }
limit-made_of = made of { $known }
limit-other = of another kind ({ $code })
limit-from = { PLAIN($least) } or more
limit-up_to = { PLAIN($most) } or less
limit-shorthand_empty = a line such as 5 all, ends 8.5, want 9
limit-shorthand_says_nothing = a level, a history, a porosity or mm in each phrase
limit-shorthand_word = zones, parts, levels and what was done before, in words of this page
limit-longest = at most { WHOLE($most) } characters
limit-shortest = at least { WHOLE($least) } characters
limit-at_most_so_many = a list of at most { WHOLE($most) }
limit-at_least_so_many = a list of at least { WHOLE($least) }
limit-moment = a moment, as 2026-01-31T09:30:00Z
limit-closed_last = not before the first day, at most { $most } days in all
limit-date = a day, as 2026-01-31
limit-text = 1 to { WHOLE($most) } characters
limit-range = { $unit ->
    [g] a number from { WEIGHT_FIGURE($low) } to { WEIGHT_TENTHS($high) }
    [mm] a number from { LENGTH_FIGURE($low) } to { LENGTH($high) }
   *[other] a number from { PLAIN($low) } to { PLAIN($high) }{ $unit ->
        [level] {" "}(level)
        [parts] {" "}parts to one
        [vol] {" "}vol
        [min] {" "}min
        [h] {" "}h
        [K] {" "}K
        [pairs] {" "}pairs of hands
        [rows] {" "}rows
        [sections] {" "}sections
        [levels] {" "}levels
        [degrees] {" "}degrees
        [years] {" "}years
        [days] {" "}days
        [none] {""}
       *[other] {" "}{ $unit }
    }
}
limit-count = { WHOLE($least) } to { WHOLE($most) } { $noun ->
        [lab] numbers: L*, a*, b*
        [zones] zones
        [lanes] lanes
        [parts] parts
        [readings] readings
        [visits] visits
        [strands] strands
        [toners] toners
        [lighteners] lighteners
        [developers] developers
        [events] acts
        [eyes] eyes
        [kinds] kinds of hair
        [areas] areas
        [closed] holidays and breaks
       *[other] { $noun }
    }
limit-patches = every patch of the card; missing: { $missing }
limit-a_shade = the colour of a shade on the palest hair; this is none
limit-lab = three numbers: L*, a*, b*
limit-above_zero = above 0
limit-time_zone = a moment with a time zone
limit-day = a day from { $low } to { $high }, as 2026-01-31
limit-most_lines = at most { WHOLE($most) } lines
limit-yes_no = yes, no or nothing
limit-no_control = without control characters
limit-no_dot = without a dot
limit-at_least_one = at least one
limit-at_most_max_volume = at most max_volume { PLAIN($most) } vol
limit-given_for_oxidative = given for an oxidative shade
limit-only_for_wash = 0: only a pigment wash is diluted
limit-nothing_for_wash = nothing for a pigment wash: it never goes on with peroxide
limit-one_dye_family = at least one dye family
limit-sum_of_shares = shares that sum to 1
limit-not_below_start_level = at or above the start level { PLAIN($level) }
limit-past_its_start = past where it begins, { LENGTH($least) }
limit-after_the_part_before = where the part before it ends or later, { LENGTH($least) }
limit-within_length = within the length of the hair, { LENGTH($most) }
limit-most_lanes = at most { WHOLE($most) } lanes
limit-most_zones = at most { WHOLE($most) } zones
limit-most_strands = at most { WHOLE($most) } strands
limit-most_measurements = at most { WHOLE($most) } measurements
limit-most_clients = at most { WHOLE($most) } clients
limit-one_or_two_shades = one shade or two
limit-one_each_shade = { WHOLE($count) } values, one for each shade
limit-one_each_zone = { WHOLE($count) } values, one for each zone
limit-both_oxidative = both oxidative, or neither
limit-times_of_both_labels = times that both labels allow ({ $shades })
limit-share_of_second = 1 for one shade, less than 1 with a second one
limit-one_for_this_person = at least one that may go on this person
limit-one_developer = at least one developer
limit-one_developer_on_shelf = at least one developer on the shelf
limit-least_developer = at least { WEIGHT_TENTHS($least) } of developer
limit-bottles = from { PLAIN($low) } to { PLAIN($high) } vol (the shelf's bottles)
limit-different_keys = zones with different keys
limit-different_from_others = different from the other { $name }'
limit-another_lane = another lane than zone_key
limit-given_or_scalp = given, or scalp
limit-services_filed = at least { WHOLE($least) } filed with this product
limit-event = an event with a kind and its data
limit-given_to_plan = given in a file that is to be planned
limit-versions = { $known }, the versions this program reads
limit-columns = the columns { $columns }
limit-cells = { WHOLE($count) } cells
limit-values = { WHOLE($count) } values
limit-quotes_in_pairs = quotation marks in pairs
limit-with = with { $names }
limit-with_before_data = with { $names }, before the data
limit-one_measurement = at least one measurement
limit-same_facts = the same facts on every line of { $strand }
limit-minute_and_level = both minute and level, or neither
limit-on_shelf = a lightener of the shelf
limit-none_on_shelf = none on the shelf
limit-as_kept = as this program keeps it
limit-from_today_within_two_years = a moment from today on, within two years
limit-after_last_within_two_years = a moment with time zone after the last service, within two years
limit-open_day = a day the studio is open
limit-within_a_year = a moment to come, within a year
limit-within_two_days = a moment with time zone within the last two days
limit-years_away = a moment with time zone, at most { WHOLE($most) } years away
limit-moment_between = a moment with a time zone, from { $low } to { $high }
limit-not_in_future = not in the future
limit-all_zones_once = all zones once ({ $zones })
limit-different_keys_of = { $field } with different keys
limit-client_name = the client's name, { $name }
limit-field_of_model = as told: { $why }
limit-password = stronger: { $why }
limit-own_password = your password as it is now
limit-another_password = another one than before
limit-email = an address like name@studio.example
limit-code_of_phone = the six digits your phone shows now
limit-most_links = at most { WHOLE($most) } that work; revoke one first
limit-most_of_a_kind = at most { WHOLE($most) } of a kind
limit-no_zone_open = none: no zone has product on yet
limit-first_of_bad_lines = { $limit } (the first of { WHOLE($count) } bad lines)
limit-given_for = given for { $of }
limit-json = JSON ({ $why })
limit-json_body = JSON
limit-utf8 = text in UTF-8
limit-readable_file = a readable file ({ $why })
limit-most_bytes = at most { WHOLE($most) } bytes
limit-file_of_bytes = a file of 1 to { WHOLE($most) } bytes
limit-most_pixels = at most { WHOLE($most) } pixels
limit-picture = a picture ({ $formats })
limit-jpeg = a JPEG picture
limit-depth = at most { WHOLE($most) } deep
limit-plain_text = a text without NUL and lone surrogates
limit-plain_keys = keys without NUL and lone surrogates
limit-finite_only = finite numbers only
limit-format = { $format } version { WHOLE($version) }
limit-member = a member with a username and a role
limit-client_of_archive = a client of this archive
limit-on_archives_shelf = on this archive's shelf
limit-step_of_log = { $step }, as its log has it
limit-studio_settings = a studio's settings
limit-entry_once = every entry once
limit-archive_entries = entries { $names } and photos/*.jpg
limit-not_encrypted = not encrypted
limit-packed = at most { WHOLE($most) } bytes, packed { WHOLE($ratio) } : 1
limit-unpacked = at most { WHOLE($most) } bytes unpacked
limit-most_entries = at most { WHOLE($most) } entries

## Errors: what happened, what is kept, what to do

problem-401 = Signed out
problem-403 = Not allowed
problem-404 = Not found
problem-409 = Does not fit
problem-422 = Out of limits
problem-other = Error

error-already_again = This zone is lightened again already.
error-already_barrier = This zone's product is a barrier already.
error-already_begun = Something has been done in this service; its log stays. File it instead.
error-already_dry = This zone has been dried already.
error-already_emulsified = It has been emulsified already.
error-already_here = Some rows of this archive are in this installation already.
error-already_rinsed = This zone has been rinsed already.
error-already_started = This zone has been started already.
    .plan = Product is on the hair already; the plan cannot be taken again.
    .strands = The plan is at the chair; strand tests are closed.
    .consultation = The plan is at the chair; the consultation is closed.
error-already_warm = Warmth is on this zone already.
error-bad_archive = The file is no archive of a studio (not a zip).
    .json = { $where }: not JSON ({ $why }).
    .unreadable = { $name }: cannot be read.
error-bad_csv = line { WHOLE($line) }: not CSV ({ $why }).
error-caution = { $title }. { $advice }
    .shade = { $shade }: { $title }. { $advice }
error-cautions_open = Still to acknowledge: { $missing }.
error-changed_elsewhere = Someone else changed this meanwhile; here is their version.
error-consultation_open = Finish the consultation before the plan.
error-enough_addenda = A record holds { WHOLE($most) } additions.
error-enough_photos = A service holds { WHOLE($most) } photos; take one out first.
error-erased = This client was erased; add them anew.
    .written = This client was erased; nothing can be written about them any more.
error-event_id_taken = This event id is taken.
    .other = This event id is taken by another act: { $kind }. Nothing was changed.
error-in_use = { $name } stands in services; its record needs it.
error-label_unread = Read on the label of { $product } that it may go on again.
    .refresh = Read the label of { $product } first: does it allow another application today?
error-last_owner = A studio needs an owner; make someone else one first.
error-busy = The server is computing for many at once just now. Nothing is lost; try again in a moment.
error-bad_json = This is no JSON.
error-code_needed = Type the six digits your phone shows, or a recovery code.
error-wrong_code = The code is not right. Wait for the next one and try again; after wrong ones you wait longer each time.
error-second_factor_set = A second factor is set already; switch it off first.
error-second_factor_none = No second factor is set up.
error-second_factor_demanded = The studio asks everyone for a second factor; only its owner can change that.
error-owes_password = Choose a password of your own first.
error-owes_second_factor = The studio asks everyone for a second factor; set yours up first.
error-later_acts_depend = Later acts rest on this one; undo those first.
    .acknowledged = The consultation was finished on this acknowledgement; undo that first.
error-locked_out = Too many tries. Wait a quarter of an hour.
error-sign_in_busy = Too many are signing in just now. Wait a moment and try again.
error-too_many_lines = This device has too many boards open; close some.
error-begin_token = This address is not the one the server printed, or is older than a week. Start the server again for a new one.
error-begun_already = There is a studio here already; sign in.
error-name_taken = The name { $name } is taken; choose another to sign in with.
    .shelf = { $name } is on the shelf already.
error-no_cgats = The file does not begin like CGATS text (CGATS.17).
error-no_database = The database does not answer. What you sent was not kept; try again in a moment.
    .stream = The database does not answer; try again in a moment.
error-no_ends = Product is dragged to the waiting ends of the same zone only.
error-no_heat = { $why }
error-no_lightener = Choose a lightener first.
    .shelf = Choose a lightener first; the shelf may be empty.
    .file = The file has no lightener.
error-no_peroxide = { $shades }: a pigment wash is not mixed with an oxidative shade.
    .developer = developer_g: must be 0 for a pigment wash ({ $shades }), got { PLAIN($grams) }.
error-no_plan = No plan is at the chair yet.
    .file = No plan has been taken to the chair by minute { PLAIN($minute) } of the file's log.
error-no_reader = No colour reader is set up (FERVENS_READER); read by eye.
error-no_refresh = { $why }
error-no_camera = No camera is simulated here; take a picture.
error-no_round = No calibration round of yours is kept.
error-no_studio = This account belongs to no studio yet; the owner can add it.
error-no_toner = No toner is on this zone.
error-no_zones = Read at least one zone of the head first.
error-not_again = { $lane } may not be lightened again today: { $why }.
error-not_allowed = Your role does not allow this.
    .lead = An assistant cannot { $act }; ask a technician.
    .owner = Only an owner can { $act }.
error-not_applying = This zone is not being applied.
error-not_empty = This studio has clients or products already; an archive goes into an empty one.
error-not_filed = The record is still open: write it there; additions come after filing.
    .next = File the service first; the next visit follows from how it ended.
error-not_found = There is nothing here that you may see.
error-not_kept = Lightener went on this zone; read it as a lane.
error-not_kept_at_all = A value is out of what can be kept. Nothing was.
error-not_planning = This service is not at its plan.
error-not_processing = This zone has no product processing.
error-not_read = Read { $lane } after the rinse first.
error-not_rinsed = Rinse the lightener before the toner goes on.
    .probe = Rinse the lightener before the probe.
    .again = Rinse it and read it before lightening it again.
    .review = Rinse the lightener before its review.
    .tone = Only rinsed zones can be toned.
error-not_warm = No warmth is on this zone.
error-nothing_carried = Nothing that was learnt has been carried into { $name }.
error-nothing_filed = No filed service to start from; begin a new one.
error-nothing_measured = No colour reader was used in this service; there is nothing to take out.
error-nothing_on = There is no product on this zone yet.
error-nothing_planned = No lane of this plan gets any product.
error-nothing_to_drag = There is no product to drag from there.
error-nothing_deeper = No part is wanted deeper than it is.
error-no_tone_parts = Read at least one zone that is to be toned.
error-not_by_hand = What goes to the basin is worked out here, not sent.
error-nothing_to_lift = No zone is wanted lighter than it is; there is nothing to plan.
    .consultation = The service is at its plan; at least one zone has to be lifted.
error-nothing_to_read = Finish the application before reading.
error-nothing_to_rinse = There is no product on this zone.
error-picture = The picture cannot be read.
    .no_card = The card is not seen whole: all four corner marks have to be in the picture.
    .no_picture = That is no picture (JPEG, PNG or WebP).
    .too_large = The picture is too large.
    .too_dark = Too dark to read: more light, or open the window.
    .burnt_out = Burnt out: the light patches have no colour left. Take it with less light.
    .blurred = Blurred: hold still, tap the card to focus, and take it again.
    .uneven-left = Uneven light: the left side of the card is in shade. Turn it to the light.
    .uneven-right = Uneven light: the right side of the card is in shade. Turn it to the light.
    .uneven-top = Uneven light: the top of the card is in shade. Turn it to the light.
    .uneven-bottom = Uneven light: the bottom of the card is in shade. Turn it to the light.
    .gloss = The strand shines wet: blot it and tilt the card a little.
    .other_light-left = Other light falls on the strand than on the card, at its left.
    .other_light-right = Other light falls on the strand than on the card, at its right.
    .other_light-top = Other light falls on the strand than on the card, at its top.
    .other_light-bottom = Other light falls on the strand than on the card, at its bottom.
error-reader_away = The colour reader does not answer; read by eye.
error-reader_error = The colour reader says: { $told }.
error-reader_line = The colour reader broke off; try again, or read by eye.
    .other = What answers at { $address } is no colour reader.
    .sent = The colour reader sent { $line }, not a measurement.
error-refused = This was not understood; nothing was kept.
field-zones = zone
field-strands = strand
field-parts = part
field-readings = reading
field-start_level = level now
field-target_level = level wanted
field-now_level = level now
field-wished_level = level wanted
field-wanted_level = level wanted
field-level = level
field-name = name
field-first_name = first name
field-last_name = last name
field-username = name to sign in with
field-password = password
field-email = mail address
field-code = code
field-language = language
field-role = role
field-volume_strength = strength, vol
field-minutes = minutes
field-starts_at = day and time
field-birth_date = day of birth
field-patch_test_placed_at = patch test placed
field-growth_mm_per_month = growth a month
field-length_mm = hair length
field-from_mm = from
field-to_mm = to
field-off_scalp_mm = off the scalp
field-time_min = time there is, min
field-wish = wish
field-notes = notes
field-contact = how to reach
field-told = what was told
field-photos = photos
field-text = text
field-slot_min = time wanted, min
field-label_max_min = longest time, min
field-developer_parts = developer to one part
field-max_volume = strongest, vol
field-stock_g = on the shelf
field-old_password = password you have now
field-foil_count = sections
field-pace_min_per_foil = pace, min a section
field-booked_min = booked, min
field-occurred_at = time
field-low_g = low from
field-price_per_g = price
field-max_volume_on_scalp = strongest at the scalp, vol
field-bowl_life_min = life of a bowl, min
field-lift_factor = how far it lifts
field-rate_factor = how fast it lifts
field-max_applications = applications in one visit
field-developer_volume = developer, vol
field-label_min_min = shortest time, min
field-patch_test_wait_h = patch test before, h
field-rest_mm = strand at rest
field-pulled_mm = strand pulled
field-back_mm = strand let go
field-tint_level = level of the colour in it
field-grey_share = grey
field-share = share
field-spacing_mm = spacing
field-stretch_before_percent = stretch before, %
field-stretch_after_percent = stretch after, %
field-volumes = developer, vol
field-visits = trip to the basin
field-visit_mins = trip to the basin, min
field-rows = rows
field-hands = hands
field-product_g = product
field-developer_g = developer
field-mass_g = weighed
field-wanted_volume = strength wanted, vol
field-warmth = warmth
field-blend_mm = blend
field-dilution = dilution
field-weakest_natural = weakest on natural hair, vol
field-weakest_worn = weakest on light, fine or porous hair, vol
field-weakest_old_dye = weakest on old dye, vol
field-root_share = roots
field-band_share = bands
field-open_air_share = open air
field-tone_share = toner
field-change_min = to the next zone, min
field-rinse_min = a trip to the basin, min
field-look_min = one lane looked at, min
field-mix_min = one bowl mixed, min
field-idle_min = signed out after, min
field-closed_on = closed days
field-first = first day
field-last = last day
field-dyes = dyes
field-worked = what worked
field-change = what to change
field-reason = reason
field-currency = currency
field-allergies = allergies
field-medication = medicine
field-typed_name = the name, typed again
field-label = name of the version
field-for_name = for whom
field-studio = name of the studio
field-rest_name = name of the rest
field-new_password = new password
error-refused_at = { $field }.{ $told }
error-refused_within = { $place }: { $told }
error-service_closed = The service is filed; nothing can be added to it.
error-not_a_demo = Only a demo can be woken.
error-signed_out = Please sign in.
error-still_lifting = Some zones still have lightener on; rinse them first.
    .file = Some zones of the file still have lightener on; rinse them first.
error-toned = This zone has been toned already.
error-toner_on = A toner is on this zone.
error-toner_open = Toner still on: { $zones }. Rinse before filing.
error-toner_over_label = minutes: at most { PLAIN($most) } (label of { $shade }), got { PLAIN($minutes) }.
error-too_large = body: at most { WHOLE($most) } bytes, got { $value }. Nothing was kept.
error-too_late = This zone has been rinsed already.
error-puzzle = The page was open for too long, or its answer was used already. Load it anew; what you typed can be copied.
error-too_many_requests = Too many requests came in today; please call the studio.
error-too_many_versions = { WHOLE($most) } versions are kept at most.
error-unknown_event = There is no such event to undo.
    .fold = kind: { $kind } cannot be folded.
    .kind = kind: must be one of { $known }, got { $kind }.
    .version = version: must be from 1 to { WHOLE($newest) } for { $kind }, got { WHOLE($version) }.
error-unknown_shade = This shade is not on the shelf any more.
    .in_mind = The toner in mind is not on the shelf any more.
error-unknown_zone = There is no zone '{ $key }' here.
    .kept = No part that was left as it is has the key '{ $key }'.
error-round_over = This round is over. Look at its debrief, or try it again.
error-round_not_over = This round is not over yet. End it first.
error-only_in_practice = That is for practice rounds only.
error-unlike_hair = What was measured (L* { WHOLE($l) }, a* { WHOLE($a) }, b* { WHOLE($b) }) looks like no level of this hair: wipe the strand, lay it flat and measure again, or read it by eye.
error-value_out_of_limit = { $field }: must be { $limit }, got { $value }.
got-g = { WEIGHT_TENTHS($value) }
got-mm = { LENGTH($value) }
error-field_out_of_limit = { FIELD($field) }: must be { $limit }, got { $value }.
error-secret_out_of_limit = { FIELD($field) }: must be { $limit }.
error-volume_over_limit = { $lane }: at most { PLAIN($most) } vol ({ $limit }), got { PLAIN($volume) }.
error-wrong_password = Name or password is not right.
error-zones_open = Still with product on: { $zones }. Rinse before filing.

## What a role does, for its refusal

doing-acknowledge_a_caution = acknowledge a caution
doing-add_members = add members
doing-bring_a_studio_in = bring a studio in
doing-bring_clients_in = bring clients in
doing-move_a_visit = move a visit
doing-cancel_a_visit = cancel a visit
doing-change_a_strength = change a strength
doing-change_members = change members
doing-change_the_shelf = change the shelf
doing-change_the_studio = change the studio
doing-erase_a_client = erase a client
doing-file_a_service = file a service
doing-finish_a_consultation = finish a consultation
doing-keep_a_plan = keep a plan
doing-lighten_again = lighten again
doing-make_links = make links
doing-measure_the_card = measure the card
doing-read_the_audit_trail = read the audit trail
doing-read_a_patch_test = note what a patch test showed
doing-remove_a_filed_photo = remove a photo of a filed service
doing-revoke_links = revoke links
doing-take_a_plan_to_the_chair = take a plan to the chair
doing-take_a_service_file_in = take a service file in
doing-take_clients_out = take clients out
doing-take_the_studio_out = take the studio out
doing-write_a_plan = write a plan

## The audit trail

audit-account_changed = account changed
audit-archive_brought_in = archive brought in
audit-archive_taken_out = archive taken out
audit-card_forgotten = card taken as printed
audit-card_measured = card measured
audit-client_added = client added
audit-client_changed = client changed
audit-client_erased = client erased
audit-client_reminded = client reminded
audit-client_taken_out = client taken out
audit-clients_brought_in = clients brought in
audit-clients_taken_out = clients taken out
audit-code_failed = second factor failed
audit-consultation_written = consultation written
audit-developer_added = developer added
audit-developer_changed = developer changed
audit-developer_removed = developer removed
audit-eye_calibrated = eye calibrated
audit-eye_round_taken_back = calibration round taken back
audit-feed_link_made = feed link made
audit-feed_link_revoked = feed link revoked
audit-invitation_taken_back = invitation taken back
audit-invitation_taken_up = invitation taken up
audit-learnt_factor_carried_in = learnt factor carried in
audit-learnt_factor_taken_back = learnt factor taken back
audit-lightener_added = lightener added
audit-lightener_changed = lightener changed
audit-lightener_removed = lightener removed
audit-measurements_brought_in = measurements brought in
audit-member_added = member added
audit-member_changed = member changed
audit-member_invited = member invited
audit-password_changed = password changed
audit-password_reset = password reset
audit-photo_added = photo added
audit-photo_removed = photo removed
audit-plan_version_kept = plan version kept
audit-plan_written = plan written
audit-reaction_to_oxidative_colour_answered = reaction to oxidative colour answered
audit-record_added_to = record added to
audit-recovery_code_used = recovery code used
audit-recovery_codes_made = recovery codes made
audit-reminder_taken_back = reminder taken back
audit-request_came_in = request came in
audit-requests_cleared = requests cleared
audit-request_link_made = request link made
audit-request_link_revoked = request link revoked
audit-reset_asked = password reset asked for by mail
audit-reset_made = password reset handed out
audit-second_factor_off = second factor switched off
audit-second_factor_set = second factor set
audit-service_file_taken_in = service file taken in
audit-service_file_taken_out = service file taken out
audit-service_started = service started
audit-service_started_from_the_last = service started from the last
audit-sign_in_failed = sign-in failed
audit-signed_in = signed in
audit-signed_out = signed out
audit-signed_out_everywhere = signed out everywhere
audit-strand_tests_taken_in = strand tests taken in
audit-studio_begun = studio begun
audit-studio_changed = studio changed
audit-trail_taken_out = audit trail taken out
audit-shelf_brought_in = shelf brought in
audit-shelf_taken_out = shelf taken out
audit-toner_added = toner added
audit-toner_changed = toner changed
audit-toner_removed = toner removed
audit-visit_cancelled = visit cancelled
audit-visit_moved = visit moved

## Mail to members

mail-invited = { $by } invites you to work with { $studio } in Fervens.

    Make your account here, within { WHOLE($days) } days; the address works once:
    { $address }
    .title = A place at { $studio }
mail-reset = Hello { $name },

    someone asked for a new password for your account in Fervens. Set it here, within a day:
    { $address }

    If that was not you, nothing has changed and you need do nothing.
    .title = A new password
mail-password_changed = Hello { $name },

    your password in Fervens was changed just now, and other devices were signed out.
    If that was not you, ask the owner of your studio for a new one at once.
    .title = Your password was changed

## The log

caution_name-scalp_broken = scalp broken
caution_name-elasticity = elasticity
caution_name-metallic_salts = metallic salts
caution_name-build_up = build up
caution_name-scalp_sensitive = scalp sensitive
caution_name-elasticity_slow = elasticity slow
caution_name-patch_test_open = patch test open
caution_name-reaction_open = reaction open
caution_name-allergies = allergies
caution_name-medication = medication
caution_name-under_16 = under 16
caution_name-metallic_history = metallic history
caution_name-henna_untested = henna untested
caution_name-unknown_untested = unknown untested
caution_name-henna = henna
caution_name-elasticity_zone = elasticity zone
caution_name-breakage = breakage
caution_name-frail = frail
caution_name-direct_dye = direct dye
caution_name-delicate = delicate
caution_name-frail_toned = frail hair toned
caution_name-lightened = lightened
caution_name-white_in_one = white in one
caution_name-long_regrowth = long regrowth
caution_name-no_strand_test = no strand test
caution_name-toning_use = toning use
caution_name-professional_use = professional use

event-ConsultationFinished = Consultation finished
event-ReviewFinished = Review finished
event-ServiceClosed = Filed
event-ApplicationFinished = { $zone }: application finished
event-Rinsed = { $zone }: rinsed
event-wiped = { $zone }: wiped or dried out
event-HeatStarted = { $zone }: warmth on
event-HeatEnded = { $zone }: warmth off
event-BarrierLeft = { $zone }: left on as a barrier
event-DriedOut = { $zone }: dried out
event-acknowledged = Acknowledged: { $caution }
event-plan_taken = Plan taken to the chair, { WHOLE($zones) } zones
event-bowl = Bowl for { $zone }: { WEIGHT($grams) }, { PLAIN($volume) } vol
event-bowl_is_on = { $bowl }; application started
event-started_after = { $before }: application finished; { $then }
event-started = { $zone }: application started, { PLAIN($volume) } vol
event-reading = { $zone }: { $said } ({ $how })
event-read = read { LEVEL($level) }
event-read_first = first foils read { LEVEL($level) }
event-not_lightened = not lightened
event-warmer = warmer
event-cooler = cooler
event-rest = { $hue } rest
event-reader = colour reader
event-named_reader = { $name } colour reader
event-rinsed_together = Rinsed together: { $zones }
event-refreshed = { $zone }: new product, { PLAIN($volume) } vol
event-dragged = { $zone }: product dragged from { $source }
event-covering = { $zone }: now under { $covering }
event-noted = { $zone }: { $said }
event-hair_returns = stretches and returns
event-hair_slow = returns slowly
event-hair_stays_stretched = stays stretched
event-hair_snaps = snaps
event-scalp_fine = scalp is fine
event-scalp_warm = scalp feels warm
event-scalp_burns = scalp burns
event-developer = { $zone }: { PLAIN($volume) } vol instead
event-again = Lightened again: { $zones }
event-zone_volume = { $zone } { PLAIN($volume) } vol
event-wish = Wished: { $tone } at { LEVEL($level) }
event-wish_measured = Wished: a measured colour at { LEVEL($level) }
event-no_shadow = No root shadow
event-shadow = Root shadow at { LEVEL($level) }, { LENGTH($length) }, blended over { LENGTH($blend) }
event-probe = { $zone }: violet shampoo took { $grab }
event-two_shades = { $first } + { $second } { WHOLE($parts) }:{ WHOLE($rest) }
event-toner_applied = { $zone }: toner { $formula } on, { PLAIN($minutes) } min
event-tone_bowl = Toner { $formula } on: { $zones }
event-toners_emulsified = Toner emulsified: { $zones }
event-toners_rinsed = Toner rinsed: { $zones }
event-own_formula = Own formula for { $zones }
event-as_proposed = The proposed formula again for { $zones }
event-wish_for = { $wish }, for { $zones }
event-toner_emulsified = { $zone }: toner emulsified
event-toner_strand = { $zone }: a strand rinsed, { PERCENT($share) } of its dye
event-toner_pulled_back = { $zone }: toner pulled back over, { PLAIN($minutes) } min in all
event-toner_rinsed = { $zone }: toner rinsed

version-taken = taken to the chair

## Day and client

day-read_head = Read the head
day-finish = Finish the consultation
day-clarify = Clarify first
day-not_today = Must not be lightened today
day-strands = Test the strands
day-plan = Plan it
day-chair = At the chair
day-review = Read and review
day-tone = Tone it
day-toner_on = Toner on { WHOLE($on) } of { WHOLE($of) } zones
day-filed = Filed

source-request = request
source-last_time = last time

history-patch_not_done = Patch test: placed, not read
history-patch_negative = Patch test: clear
history-patch_positive = Patch test: reacted
history-strands = { WHOLE($count) } { $count ->
        [1] strand
       *[other] strands
    } tested, up to level { LEVEL($best) }

hair_kind = { $history }, { $thickness }, porosity { $porosity }

request-form = request form
request-photo = sent by the client
request-notes = Asked for a visit on { DAY($on) }. Reach: { $reach }.
    Told: { $past }
request-not_given = not given
request-nothing = nothing

calendar-name = Visit
calendar-visit = Colour: { $client }

## The card, on paper

min = { WHOLE($minutes) } min
g = { WEIGHT($grams) }

card-title = Service card, { $client }
card-foot = { $client }, { DAY($on) }
card-head = { DAY($on) }, { $at }, { $filed }. { $lightener }.
card-filed = filed { $at }
card-not_filed = not filed yet
card-no_lightener = no lightener
card-wish = Wish: { $wish } ({ $tone })
card-walls = Past the label's time: { $lanes }.
card-lightening = Lightening
card-strands = Strand tests
card-level = from { LEVEL($level) }
card-strand_reading = { PLAIN($minute) } min: { LEVEL($level) }
card-bowls = Bowls
card-toner = Toner
card-readings = Readings
card-cautions = Cautions taken on
card-keep = What to keep
card_head-zone = Zone
card_head-formula = Formula
card_head-on = On
card_head-rinsed = Rinsed
card_head-planned = Planned
card_head-ran = As it ran
card_head-levels = From, to, wanted
card_head-mixed = Mixed
card_head-strength = Strength
card_head-lightener = Lightener
card_head-developer = Developer
card_head-recipe = Recipe
card_head-grams = Grams
card_head-strand = Strand
card_head-readings = Readings
card_head-painted = In time
card-level_alone = { LEVEL($level) }
card-numbered = { WHOLE($number) }  { $lane }
card-clocks = { $on } to { $rinsed }, { $ran } (planned { $planned })
trolley-title = Trolley sheet, { $client }
trolley-head = { DAY($on) }. { $lightener }, label { WHOLE($label) } min. { WHOLE($chair) } min in the chair.
trolley-minutes = Minutes count from the first product on hair. The bar is the label's time.
trolley-order = In the order of hands
trolley-mixing = Mixing list
trolley-cut = Strips for the bowls: cut out and stick on
trolley-bowl = Bowl { WHOLE($number) }, { PLAIN($volume) } vol
trolley-mixed_at = mixed at ____:____ , good for { WHOLE($life) } min
trolley_head-rinse = Rinse
trolley_head-minute = Minute
trolley_head-for = For
trolley_head-makes = Makes
card-pour = { WEIGHT($grams) } { PLAIN($volume) } vol
card-of = { WEIGHT($grams) } { $name }
card-formula = { PLAIN($volume) } vol{ $applications ->
        [0] {""}
        [1] {""}
       *[other] , { WHOLE($applications) } applications
    }
card-levels = { LEVEL($before) } → { TENTHS($level) } ({ LEVEL($target) })
card-levels_open = { LEVEL($before) } →  ({ LEVEL($target) })
card-still_on = still on
card-toner_grams = { WEIGHT($product) } + { WEIGHT($developer) }
card-difference = Difference from the wishes { TENTHS($difference) } (CIEDE2000, mean).
card-tone_bowl = { $at }: { $formula }, { WEIGHT_TENTHS($product) } + { WEIGHT_TENTHS($developer) }, on in this order: { $zones }; rinsed { $rinses }.
card-reading = { $lane } { LEVEL($level) } ({ $mode })
card-reading_at = { $lane } { LEVEL($level) } at { WHOLE($minute) } min ({ $mode })
card-readings_listed = { $readings }.
card-caution = { CAPITAL($caution) }: { $by }, { $at }
card-worked = Worked: { $said }
card-change = Change next time: { $said }
card-nothing_noted = nothing noted
card-added = Added { DAY($on) } by { $by }: { $said }
card-contact = Longest contact { WHOLE($minutes) } min.
card-contact_and_cost = Longest contact { WHOLE($minutes) } min, product { HUNDREDTHS($cost) } { $currency }.
card-professional_use = Professional use. The product's label, the safety data sheet, local codes and licensing come first; where they differ from this card, they win.

handout-title = For you to take home
handout-again = We propose to see you again
handout-on_or_about = On or about { DAY($on) }.

camera_card-title = Card for reading hair by camera
camera_card-note_1 = Print at its true size (100 %), matt, without colour management. Let it dry for an hour.
camera_card-note_2 = Lay the wiped strand flat along the window, covering all of it. Whole card in the picture, even light, no flash.
camera_card-note_3 = Cut the window out, or lay the strand on it.
eye-reads = { $mode }: { $way ->
    [true] reads true
    [light] reads { TENTHS($levels) } level light
   *[dark] reads { TENTHS($levels) } level dark
}; { WHOLE($pairs) } { $pairs ->
    [1] pair
   *[other] pairs
}

## Practice

event-FoilOpened = { $zone }: opened to look
event-asked = Found out: { $topic }
event-mishap = Seen to: { $mishap }
event-mishap_left = Let be: { $mishap }
home_care-violet_shampoo = a violet shampoo
home_care-ash_shampoo = an ash shampoo
home_care-minerals = hard water
home_care-heat_tools = hot irons
topic-reactions = reactions to colour
topic-history = what was done before
topic-home_care = what is used at home
topic-scalp = how the scalp is
topic-stretch = how a wet strand stretches
topic-salts = a salts test
practice_zone = Zone { WHOLE($number) }
practice_pieces = pieces
practice_head-first = Three zones
    .about = Three even zones, 6 to 8. To learn the board by.
practice_head-six = Six even zones
    .about = Medium brown all over, 5 to 8.5, six zones in foil.
practice_head-light = Nearly there
    .about = Level 7 to 9.5: it goes fast, and the last level takes as long as the two before.
practice_head-hairline = Fine hairline
    .about = A medium head, 5 to 8.5, with fine hair at nape, fringe and temples.
practice_head-band = A band in the lengths
    .about = 7 to 9, with a darker band where an old tint ended.
practice_head-coarse = Coarse and dark
    .about = Level 3 to 7.5, coarse, slow to take product.
practice_head-ends = Old ends
    .about = 5 to 9, with porous ends at 7.5 that were lightened before.
practice_head-tint = "Never coloured"
    .about = 4 to copper 7. The card says virgin.
practice_head-painted = Painted in the open
    .about = The front painted in open air, 6 to 8: it cools and it dries.
practice_head-stuck = Stuck at orange
    .about = 4 to 8, and not every zone wants to go there.
practice_head-evening = By lamplight
    .about = 6 to 9 under a yellow lamp, where everything looks lighter and warmer.
practice_head-whole = The whole head
    .about = Twelve zones, 5 to icy 9, a fine hairline, one pair of hands.
practice_head-random = A head from a seed
    .about = Drawn from the seed, and the same for everyone with that seed.
practice_head-past = A past head
    .about = One of the studio's own heads as it was planned, without its name.
practice_answer-reactions = "My scalp came up in a rash two years ago, after a colour. It itched for a week."
practice_answer-reactions_none = "No, I never had anything from a colour."
practice_answer-history = "Well, a brown from a box, at home. Twice, in spring."
practice_answer-history_none = "Nothing at all but what is on your card."
practice_answer-home_care = "I use { $uses }."
practice_answer-home_care_none = "Just a plain shampoo."
practice_answer-scalp = It is tender in places, though nothing is broken.
practice_answer-scalp_none = It is sound.
practice_answer-stretch = It stretches and comes back slowly.
practice_answer-stretch_none = It stretches by a third and comes back.
practice_answer-salts = The strand grows warm within a minute and small bubbles rise from it.
practice_answer-salts_none = After half an hour nothing has happened to the strand.
mishaps-stale = a stale bowl
mishaps-slipped = a foil that slipped
mishaps-dried = product that dried
mishaps-burns = a burning scalp
mishaps-phone = the telephone
mishaps-shampoo = a violet shampoo
mishap-stale = The bowl for { $lane } has thickened: it is stale.
mishap-slipped = This foil had slipped and lay open. It is closed again now.
mishap-dried = The product here is dry: it has stopped.
mishap-burns = "It burns!" { $lane }.
mishap-phone = The telephone rings. Answering it takes { WHOLE($minutes) } minutes.
mishap-shampoo = "I should have said: I wash with a violet shampoo, yesterday too."
debrief_worked-all_on_target = { $count ->
    [one] The lane ended within half a level of its target.
   *[other] All { WHOLE($count) } lanes ended within half a level of their targets.
  }
debrief_worked-most_on_target = { WHOLE($count) } of { WHOLE($of) } lanes ended within half a level of their targets.
debrief_worked-some_on_target = { $count ->
    [one] One of { WHOLE($of) } lanes ended within half a level of its target.
   *[other] { WHOLE($count) } of { WHOLE($of) } lanes ended within half a level of their targets.
  }
debrief_worked-walls = No product stayed on past its label.
debrief_worked-looks = { WHOLE($count) } looks, and hardly one before it could tell you something.
debrief_worked-eye = Your { WHOLE($count) } readings were true: no bias worth a word.
debrief_worked-time = From the first section to the last rinse in { WHOLE($minutes) } min, no longer than the board's own advice.
debrief_worked-burn = It burned, and it was rinsed within { TENTHS($minutes) } min.
debrief_worked-tone = Every toned part is close to its wish.
debrief_worked-asked_reactions = You asked about reactions, and kept to what may go on.
debrief_worked-asked_history = You asked what was done before: the card did not know of the old tint.
debrief_worked-strand = You read a strand test first.
debrief_worked-declined = The salts test was positive and you did not lighten. That was the whole task.
debrief_change-salts = There were metallic salts on this hair, and lightener went on. Test for salts where the history is not known.
debrief_change-reacted = This client reacts to oxidative colour, and oxidative toner went on. Ask about reactions, and write the answer down.
debrief_change-never_asked = This client reacts to oxidative colour and you never asked. Ask everyone, every time.
debrief_change-burn = It burned for more than three minutes before it was rinsed. Rinse at once, whatever the level.
debrief_change-passed_wall = { $count ->
    [one] { CAPITAL($lane) } stayed on past its label. Rinse at the wall, whatever the level.
   *[other] { WHOLE($count) } lanes stayed on past their label, { $lane } among them. Rinse at the wall, whatever the level.
  }
debrief_change-unread = You rinsed { WHOLE($count) } of { WHOLE($of) } lanes without one look. Open each once before you rinse it.
debrief_change-eye_light = You read about { TENTHS($levels) } level too light over { WHOLE($count) } looks ({ $mode }). Hold the strand beside the darker swatch first.
debrief_change-eye_dark = You read about { TENTHS($levels) } level too dark over { WHOLE($count) } looks ({ $mode }). Hold the strand beside the lighter swatch first.
debrief_change-too_long = { CAPITAL($lane) } went { TENTHS($levels) } level past its target. Rinse it sooner.
debrief_change-too_soon = { CAPITAL($lane) } was rinsed { TENTHS($levels) } level short, and there was time left. Leave it longer.
debrief_change-planned_short = { CAPITAL($lane) } could not get nearer than { TENTHS($levels) } level with this plan. Plan it for more minutes, a stronger bowl or another visit.
debrief_change-too_many_looks = { WHOLE($count) } looks where { WHOLE($fewer) } would have done. Every opening costs warmth and a hand.
debrief_change-late = { CAPITAL($lane) } was rinsed { WHOLE($minutes) } min after it was due.
debrief_change-slow = The last rinse came { WHOLE($minutes) } min later than the board's own advice would have had it.
debrief_change-slipped = A foil slipped and nobody saw it before the rinse. Look over all foils now and then.
debrief_change-dried = Product dried out and nobody saw it. What is dry has stopped: refresh it, or rinse it.
debrief_change-stale = A bowl was used up after it had gone stale. Mix a fresh one.
debrief_change-history = The card said virgin, and nobody asked. There was an old tint in it.
debrief_change-tone = The tone on { $lane } is far from the wish. Read the level and the warmth again before the bowl is mixed.
debrief_change-not_started = Nothing was put on yet: go on, and look again.
debrief_change-harder = Nothing weighty. Try a harder head, or the same with less help.

## The command line

cli-min = min
cli-level = level
cli-colour = colour
cli-undertone = Undertone: { $undertone }. Chroma left, best first:
cli-plan = { $aim }: last rinse { WHOLE($last) } min after the first product, { WHOLE($chair) } min in the chair, { $strengths } vol, { WHOLE($bowls) } bowls.
cli-aim_simple = Simple
cli-aim_gentle = Gentle
cli-aim_even = Even
cli-aim_quick = Quick
cli-no_strength = no
cli-left_out = { $lane }: left out. { $why }
cli-again = A second round where the label allows:
cli-mixing_list = Mixing list:
cli-pour = { WEIGHT_TENTHS($grams) } of { PLAIN($volume) } vol
cli-bowl = { WHOLE($at) } min: { WEIGHT_TENTHS($grams) } { $lightener }, { $pours }, for { $lanes }
cli-visit = Basin visit { WHOLE($number) } at { WHOLE($at) } min:
cli-lane = { $lane }: { PLAIN($volume) } vol, on { WHOLE($start) }-{ WHOLE($end) }, ready { $early }/{ $likely }/{ $late }, { $ending ->
        [wiped] wiped
        [dried] dried
       *[rinsed] rinsed
    } { WHOLE($rinse) }, wall { WHOLE($wall) } min, level { TENTHS($level) }
cli-never = never
cli-tone_bowl = Bowl { WHOLE($number) }: { WEIGHT_TENTHS($grams) } { $shades }, { $mixed }
cli-neat = neat
cli-tone_part = { $part }: bowl { WHOLE($bowl) }, on { WHOLE($on) }, off { WHOLE($off) } min, { TENTHS($difference) } from the wish
cli-learnt = { $lane }: { HUNDREDTHS($extent) } as far, { HUNDREDTHS($rate) } as fast, ready { $early } to { $late } min{ $odd ->
        [misfit] ; readings do not fit
        [stray] ; unlike any hair of its kind
       *[none] {""}
    }
cli-help_fervens = Lift, colour and plan from the command line.
cli-help_curve = level and colour over time
cli-help_neutralise = dye families ranked by the colour they leave
cli-help_plan = the plan of a service file
cli-help_tone = the toner of a service file's results
cli-help_advise = what the chair advises at a minute of a service file
cli-help_learn = what a service file's readings and strands taught
cli-help_batch = JSON requests on standard input, a line each, answered by a line each
cli-help_reader = a simulated colour reader on loopback
cli-help_aim = simple, gentle, even or quick; else the file's own
cli-help_json = print JSON

## Words of a typed line, parted by bars; all that this page calls a thing is one of them

shorthand-word_all = all|everything|whole head|head
shorthand-word_but = but|except|without|not
shorthand-word_left = left
shorthand-word_right = right
shorthand-word_want = want|wanted|to|wish
shorthand-word_keep = keep|kept|leave|leave out|no product
shorthand-word_mm = mm
shorthand-word_and = and|+|&|at|is|are|the|from
shorthand-word_level = level|levels
shorthand-part_lengths = lengths|length|mids
shorthand-part_regrowth = regrowth
shorthand-part_root = root|roots
shorthand-part_band = band|bands
shorthand-part_ends = ends|end|tips
shorthand-history_virgin = virgin|natural|untouched
shorthand-history_tinted = tinted|tint|coloured|colored
shorthand-history_lightened = lightened|bleached|highlighted
shorthand-history_direct_dye = direct dye|old dye
shorthand-history_henna = henna
shorthand-history_metallic = metallic|metallic salts|salts
shorthand-history_unknown = unknown
shorthand-porosity_low = resistant|not porous
shorthand-porosity_normal = normal porosity
shorthand-porosity_high = porous|very porous
