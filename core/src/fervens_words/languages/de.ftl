# Deutsch, wie Fachleute es sagen. The same messages as in en.ftl, which says what each function does.

## Words of the trade

undertone-deep_red_brown = dunkles Rotbraun
undertone-red_brown = Rotbraun
undertone-red = Rot
undertone-red_orange = Rotorange
undertone-orange = Orange
undertone-yellow_orange = Gelborange
undertone-yellow = Gelb
undertone-pale_yellow = Hellgelb
undertone-palest_yellow = hellstes Gelb
dye_family-yellow = Gelb
dye_family-orange = Orange
dye_family-red = Rot
dye_family-violet = Violett
dye_family-blue = Blau
dye_family-green = Grün
dye_hue-red = Rot
dye_hue-pink = Rosa
dye_hue-orange = Orange
dye_hue-yellow = Gelb
dye_hue-green = Grün
dye_hue-blue = Blau
dye_hue-violet = Violett
covering-open_air = offen an der Luft
covering-foil = Folie
covering-film = Klarsichtfolie
history-virgin = naturbelassen
history-tinted = gefärbt
history-lightened = blondiert
history-direct_dye = Direktzieher
history-henna = Henna
history-metallic = Metallsalze
history-unknown = unbekannt
tone-icy = eisig
tone-cool = kühl
tone-neutral = neutral
tone-beige = beige
tone-warm = warm
tone-gold = gold
tone-copper = kupfer
tone-red_brown = rotbraun
tone-rose = rosé
tone-silver = silber
tone-pearl = perlmutt
tone-pastel = pastell
thickness-fine = fein
thickness-medium = mittel
thickness-coarse = dick
porosity-low = gering
porosity-normal = normal
porosity-high = hoch
pastel-rose = Pastellrosa
pastel-peach = Pfirsich
pastel-mint = Minze
pastel-sky = Himmelblau
pastel-lilac = Flieder
elasticity-returns = geht zurück
elasticity-slow = langsam
elasticity-stays_stretched = bleibt gedehnt
elasticity-snaps = reißt
reading_mode-through_product = durch das Produkt
reading_mode-wiped = abgewischt
reading_mode-rinsed_wet = nass ausgespült
reading_mode-dry = trocken
grab-little = wenig
grab-even = gleichmäßig
grab-much = viel
hue-grey = grau
hue-pink = rosa
hue-red_warm = rötlich warm
hue-orange_warm = orange-warm
hue-golden = golden
hue-yellow = gelb
hue-khaki_warm = khaki-warm
hue-green = grün
hue-blue = blau
hue-violet = violett
hue-faint = leicht { $hue  }
counter-red_or_pink = Rot oder Rosa
counter-two = { $first }-{ $second }
head-low_back = Hinterkopf unten
head-high_back = Hinterkopf oben
head-left_back = Hinten links
head-right_back = Hinten rechts
head-crown = Wirbel
head-left_side = Seite links
head-right_side = Seite rechts
head-top = Oberkopf
head-nape = Nacken
head-fringe = Pony
head-left_temple = Schläfe links
head-right_temple = Schläfe rechts
part-lengths = Längen
part-regrowth = Nachwuchs
part-root = Ansatz
part-ends = Spitzen
part-band = Band
span-minutes = { $minutes } min
span-hours = { $hours } h
span-both = { $hours } h { $minutes }
vol = { PLAIN($volume) } Vol
lane-part = { $zone } { $part }
lane-part_at = { $zone  } { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane_part-at = { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane-piece = { $lane }, { $piece }
lane-again = { $lane  } noch einmal
lane-shadow = { $lane  }, Schattenansatz
lane-because = { $lane }: { $why }
lanes = { $lanes }
lanes-more = { $lanes  } und { WHOLE($more) } weitere

## Cautions: a title, and what to do

caution = { $title }. { $advice }
caution-scalp_broken = Kopfhaut ist verletzt, wund oder sonnenverbrannt
    .advice = Nicht blondieren. Neuer Termin, wenn sie verheilt ist.
caution-elasticity = { $elasticity ->
        [snaps] Eine nasse Strähne reißt
       *[stays_stretched] Eine nasse Strähne bleibt gedehnt
    }
    .advice = Nicht blondieren. Erst pflegen und schneiden, dann neu prüfen.
caution-metallic_salts = Salztest ist positiv
    .advice = Nicht blondieren: Metallsalze reagieren heftig mit Peroxid. Das Haar muss herauswachsen.
caution-build_up = Rückstände von Produkten zu Hause
    .advice = Erst reinigen: Rückstände auswaschen, dann neu ablesen und abhaken.
caution-scalp_sensitive = Empfindliche Kopfhaut
    .advice = Abstand zur Kopfhaut; beim ersten Brennen aufhören.
caution-elasticity_slow = Eine nasse Strähne geht langsam zurück
    .advice = Schwächerer Entwickler, kürzere Zeit, Strähnentest.
caution-patch_test_open = Kein Hauttest nach { WHOLE($wait) } h abgelesen
    .advice = Oxidativer Toner bleibt gesperrt; einen nicht oxidativen planen oder den Ton später.
caution-reaction_open = Eine Allergie oder Reaktion ist genannt, aber nicht erfragt
    .advice = Fragen: auf oxidative Farbe? Daneben Ja oder Nein antworten; bis dahin wird nichts geplant oder getönt.
caution-allergies = Allergien genannt
    .advice = „{ $told  }“: jedes Etikett prüfen.
caution-medication = Medikamente genannt
    .advice = Manche Mittel verändern Haut und Haar: Strähnentest, im Zweifel ärztlich fragen.
caution-under_16 = Unter { WHOLE($age) }
    .advice = Oxidative Farbe ist für unter { WHOLE($age) }-Jährige nicht bestimmt; alles Weitere regelt das örtliche Recht.
caution-metallic_history = Metallsalze in der Vorgeschichte des Haars
    .advice = Nicht blondieren. Das betroffene Haar muss herauswachsen oder ab.
caution-henna_untested = Henna, und kein Salztest
    .advice = Vor allem anderen den Salztest an einer abgeschnittenen Strähne machen.
caution-unknown_untested = Unbekannte Vorgeschichte, und kein Salztest
    .advice = Vor allem anderen den Salztest an einer abgeschnittenen Strähne machen.
caution-henna = Henna hellt wenig und ungleich auf
    .advice = Erst Strähnentest; weniger versprechen.
caution-elasticity_zone = Bleibt gedehnt oder reißt: { $lanes  }
    .advice = Diese auslassen, oder erst schneiden und pflegen, dann neu prüfen.
caution-breakage = Brechendes Haar: { $lanes  }
    .advice = Diese auslassen; erst schneiden und pflegen.
caution-frail = Nicht ganz gesund: { $lanes  }
    .advice = Dort höchstens { WHOLE($most) } Vol, kurz, und oft nachsehen.
caution-direct_dye = Altes Grün oder Blau: { $lanes  }
    .advice = Nur 1,5 %, mehrere Besuche; braune Partien auslassen; grünem Rest mit Rot oder Rosa begegnen.
caution-delicate = Feines Haar: { $lanes  }
    .advice = Hellt schnell auf und bricht: höchstens { WHOLE($most) } Vol, später, nie die ganze Zeit.
caution-frail_toned = Haar, das bricht oder gedehnt bleibt
    .advice = Nur Pigmentwäschen und schwächster Entwickler; erst pflegen.
caution-lightened = Haar, das schon blondiert ist
    .advice = Nie über schon helles Haar gehen; beim Nachwuchs bleiben.
caution-white_in_one = Weiß von unter Tonhöhe { WHOLE($least) }
    .advice = In einem Besuch realistisch ab Tonhöhe { WHOLE($least) }; zwei Besuche oder ein tieferes Ziel vereinbaren.
caution-long_regrowth = Nachwuchs über { LENGTH($most) }: { $lanes  }
    .advice = Zwei Ansatzaufträge sind geplant: erst abseits der Kopfhaut, dann die letzten { LENGTH($most) }.
caution-old_ash = Violetter oder blauer Rest: { $lanes  }
    .advice = Vor dem Blondieren mit altem Produkt und Shampoo oder einem Entferner herausziehen; er verdeckt die Tonhöhe.
caution-uneven_ground = Zwei Haararten auf eine Tonhöhe: { $zones  }
    .advice = Haar mit Strähnen, ganz aufgehellt, bleibt ungleich: das sagen, oder jeder Art ihren Wunsch geben.
caution-curl = Locken werden beim Aufhellen weicher: { $lanes  }
    .advice = Das ansprechen; jede Passée durchkämmen und nachlegen, wo das Haar Produkt getrunken hat.
caution-grey = Grau darin, { PERCENT($share) }: { $lanes  }
    .advice = Graues bleibt heller: den Rest angleichen, nach dem Toner kühler erwarten.
caution-piece_base = Basis des Haarteils sauber halten
    .advice = Produkt an Knoten, Spitze oder Nähten schlägt durch und schwächt: abseits der Basis beginnen, flach arbeiten.
caution-fill_first = Mehr als { WHOLE($most) } Stufen tiefer: { $lanes  }
    .advice = Erst mit warmem Pigment vorpigmentieren, sonst verblasst es in Tagen grün und fleckig.
caution-no_strand_test = Kein Strähnentest
    .advice = Schon behandeltes Haar hellt auf seine Art auf: eine verdeckte Strähne testen, der Plan lernt daraus.
caution-professional_use = Etikett, Handschuhe, Luft
    .advice = Etikett und Datenblatt befolgen; Handschuhe, frische Luft, Pulver staubfrei unterheben. Brennen: sofort kühles Wasser. Augen: 15 min spülen und Hilfe holen.
caution-toning_use = Etikett, Handschuhe, Haut
    .advice = Etikett und Datenblatt des Toners befolgen; Handschuhe, Hautschutzcreme, keine Wärme. Brennen: sofort kühles Wasser. Augen: 15 min spülen und Hilfe holen.
toner_block-dye_reaction = Hat auf oxidative Farbe reagiert
    .advice = Nur Pigmentshampoo und -spülung.
toner_block-under_16 = Unter { WHOLE($age) }
    .advice = Oxidative Farbe ist für unter { WHOLE($age) }-Jährige nicht bestimmt.
toner_block-reaction_open = Eine Allergie oder Reaktion ist genannt
    .advice = Fragen, ob es oxidative Farbe war, und in der Beratung antworten; bis dahin nur Pigmentshampoo.
toner_block-patch_test = Hauttest nicht abgelesen
    .advice = Anlegen, nach { PLAIN($wait) } h ablesen, oder einen nicht oxidativen Ton nehmen.
toner_block-patch_test_old = Hauttest zu alt
    .advice = Neu anlegen und nach { PLAIN($wait) } h ablesen.
toner_block-patch_test_early = Hauttest jünger als { PLAIN($wait) } h
    .advice = Warten, oder einen nicht oxidativen Ton nehmen.

## What sets how strong a developer may be

volume_limit-hair = { WHOLE($most) } Vol ist das Höchste für Haar
volume_limit-label = Etikett von { $product  }
volume_limit-scalp = auf der Kopfhaut, Etikett von { $product  }
volume_limit-delicate = feines Haar
volume_limit-lightened = Haar, das schon blondiert war
volume_limit-porous = poröses Haar
volume_limit-fine = dünnes Haar
volume_limit-frail = Haar, das nicht ganz gesund ist
volume_limit-old_dye = alter Direktzieher wird mit 1,5 % gelöst
volume_limit-strongest_bottle = stärkste Flasche im Regal
volume_limit-gentle = das sanfte Ziel

## What may go on today

stop-scalp_burns = Die Kopfhaut brennt: sofort mit kühlem Wasser spülen
stop-hair_gives = { $elasticity ->
        [snaps] Das Haar reißt: sofort ausspülen
       *[stays_stretched] Das Haar bleibt gedehnt: sofort ausspülen
    }
heat_block-label = Das Etikett von { $product  } erlaubt keine Wärme.
heat_block-scalp = Diese Zone reicht an die Kopfhaut: keine Wärme auf der Haut.
refresh_block-label = Das Etikett von { $product  } erlaubt { $most ->
        [1] einen Auftrag
       *[other] { WHOLE($most) } Aufträge
    } je Besuch.
again_block-toned = sie ist schon getönt
again_block-scalp_burns = die Kopfhaut brennt: sofort mit kühlem Wasser spülen
again_block-hair_gives = { $elasticity ->
        [snaps] das Haar reißt: sofort ausspülen
       *[stays_stretched] das Haar bleibt gedehnt: sofort ausspülen
    }
again_block-elasticity = das Haar geht nach dem Dehnen nicht einfach zurück
again_block-scalp = die Kopfhaut war zu spüren
again_block-twice = heute schon zweimal blondiert
again_block-contact = hatte heute { WHOLE($minutes) } min Produkt; ab { WHOLE($most) } min bleibt es in Ruhe
again_block-label = das Etikett von { $product  } erlaubt { $most ->
        [1] einen Auftrag
       *[other] { WHOLE($most) } Aufträge
    } je Besuch
again_block-no_gain = kein Entwickler brächte innerhalb seiner Grenzen genug
again_block-little_gain = es käme nur auf { TENTHS($end) }

## The strand bench

head_move-as_expected = Dieser Kopf hellt auf wie erwartet
head_move-moved = Dieser Kopf hellt { $ways  } auf als erwartet
head_move-far_more = { WHOLE($percent) } % weiter
head_move-far_less = { WHOLE($percent) } % weniger weit
head_move-fast_more = { WHOLE($percent) } % schneller
head_move-fast_less = { WHOLE($percent) } % langsamer

## The verdict

verdict_title-unread = Kopf ablesen
verdict_title-today = Heute machen
verdict_title-tone = Heute tönen
verdict_title-deepen = Heute abdunkeln
verdict_title-strand_test = Heute Strähnen testen
verdict_title-clarify = Erst reinigen
verdict_title-not_today = Nicht heute
verdict_title-never = Nicht in sechs Besuchen
verdict_title-more_time = Mehr Zeit oder zwei Besuche
verdict_title-visits = In { WHOLE($visits) } Besuchen
verdict-undertone = { $zone  }: { LEVEL($read) } abgelesen, aber { $seen  } zeigt sich bei { WHOLE($nearest) }: trocken neu ablesen.
verdict-stays = { $lane  }, { LEVEL($start) } auf { LEVEL($target) }: bleibt nach { WHOLE($visits) } Besuchen bei { TENTHS($level) }. Wunsch senken.
verdict-more_visits = { $lane  }, { LEVEL($start) } auf { LEVEL($target) }: heute { TENTHS($sure) } versprechen ({ TENTHS($level) } wahrscheinlich), der Wunsch beim { WHOLE($visit) }. Besuch.
verdict-two_rounds = Heute zwei Runden, wo das Etikett es erlaubt: { $lanes  } nach dem Ausspülen noch einmal, bis etwa { TENTHS($level) }.
verdict-every_zone = Jede Zone kommt heute auf ihre Tonhöhe, innerhalb der Etikettzeit.
verdict-unsure = { $lane  }: { TENTHS($sure) } versprechen, auf { TENTHS($likely) } hoffen. Ein Strähnentest grenzt es ein.
verdict-time = Etwa { SPAN($needed) } am Platz.
verdict-time_long = Etwa { SPAN($needed) } am Platz: ein langer Tag für beide. Weniger Zonen, zwei Besuche oder ein zweites Paar Hände.
verdict-time_within = Etwa { SPAN($needed) } am Platz; { $of ->
        [booked] { SPAN($limit) } sind gebucht
       *[has] { SPAN($limit) } Zeit ist da
    }.
verdict-time_over = Etwa { SPAN($needed) } am Platz, { $of ->
        [booked] { SPAN($limit) } sind gebucht
       *[has] { SPAN($limit) } Zeit ist da
    }: weniger Zonen, mehr Zeit oder zwei Besuche.
verdict-no_patch_test = Kein klarer Hauttest: heute nur ein nicht oxidativer Toner.
verdict-empty_shelf = Im Regal ist keine Blondierung oder kein Entwickler: es kann nichts geplant werden.
verdict-tone_parts = { $parts ->
        [1] Ein Teil geht
       *[other] { WHOLE($parts) } Teile gehen
    } wie abgelesen ans Becken; nichts wird blondiert.
verdict-deeper = { $lanes  }: höchstens { LEVEL($levels) } Stufen tiefer, möglichst abseits der Kopfhaut.
verdict-nothing_deeper = Nichts ist tiefer gewünscht: für eine Zone oder einen Teil eine tiefere Tonhöhe setzen.
verdict-strand_test = { $strands ->
        [one] Eine Strähne genannt: sie
       *[other] { WHOLE($strands) } Strähnen genannt: sie
    } auf der Strähnenbank anlegen, jede mit eigenem Entwickler; sonst wird nichts blondiert.
verdict-old_dye = Altes Grün oder Blau verblasst über mehrere Besuche: { $lanes  }. Was heute bleibt, wird mit etwas Rot oder Rosa gedreht.
verdict-nothing_to_lift = Keine Zone hat etwas aufzuhellen: eine hellere Tonhöhe setzen oder weiter zum Ton.
reach-all = alle auf { LEVEL($level) }
reach-lanes = { $lanes  } auf { LEVEL($level) }
reach-many = { WHOLE($count) } Zonen auf { LEVEL($level) }
chair_time-consultation = Beratung und Anmischen
chair_time-applying = Auftragen
chair_time-between = Gänge zum Becken dazwischen
chair_time-again = eine zweite Runde
chair_time-processing = Einwirken und Zonenwechsel
chair_time-rinse = letztes Ausspülen
chair_time-tone = Ton
chair_time-care = Pflege
chair_time-drying = Trocknen

## The plan

order-coarse = dickes Haar widersteht: zuerst
order-low_porosity = geringe Porosität widersteht: zuerst
order-history = Haar ({ $history  }) widersteht: zuerst
order-delicate = fein: zuletzt und schwächer
order-usual = in üblicher Folge, hinten nach vorn
order-cools = kühlt an der Luft: zuerst
kept-at_level = bleibt wie es ist, bei { LEVEL($level) }
kept-left_out = ausgelassen, kein Produkt
kept-deeper = wird tiefer, auf { LEVEL($level) }, mit Toner
plan-meeting = { $meeting ->
        [soft] Die Grenze ist weich: die Kante darüber auslaufen lassen und dort alle 10 bis 15 min nachsehen.
       *[jagged] Die Grenze ist gezackt: davor bleiben, Haar für Haar folgen und dort alle 10 bis 15 min nachsehen.
    }
plan-two_root_lanes = { LENGTH($regrowth) } Nachwuchs würden in einem Ansatzauftrag über { LENGTH($most) } ein Band geben: erst abseits der Kopfhaut, dann die letzten { LENGTH($most) }.
aim_why-simple = { $strengths  } Vol, { $bowls ->
        [one] eine Schale
       *[other] { WHOLE($bowls) } Schalen
    }.
aim_why-simple_beside = { $strengths  } Vol auf allem; { $other  } würde { WHOLE($minutes) } min sparen.
aim_why-gentle = { PERCENT($share) } weniger Kontakt als einfach.
aim_why-even = Alle liegen { TENTHS($levels) } Stufen um ihren Wunsch auseinander, { TENTHS($other) } bei einfach.
aim_why-quick = { WHOLE($minutes) } min früher als einfach.
plan-held = { PLAIN($asked) } Vol gewünscht, bei { PLAIN($volume) } gehalten ({ $limit  }).
plan-raised = { PLAIN($asked) } Vol gewünscht, auf { PLAIN($volume) } gehoben (schwächste Flasche im Regal).
plan_short-stronger = { PLAIN($volume) } Vol heben nicht so weit; bis { PLAIN($most) } Vol sind hier erlaubt.
plan_short-stops = Dieses Haar bleibt mit { PLAIN($volume) } Vol zu tief ({ $limit  }): Ziel senken oder weiteren Besuch planen.
plan-known_head = { $visits ->
        [one] Letzter Besuch
       *[other] { $visits  } Besuche
    }: { $move  }
plan_short-stalls = Solches Haar stockt in einem Besuch bei { TENTHS($level) }, gleich wie lange: weiteren Besuch planen oder Ziel senken.
plan_short-label = Die { PLAIN($label) } min des Etiketts enden vor den letzten Passées: in Reihen, mit weniger Passées oder über einen weiteren Besuch arbeiten.
plan_short-later_or_stronger = { PLAIN($volume) } Vol bräuchten länger; bis { PLAIN($most) } Vol sind hier erlaubt.
plan_short-later = { PLAIN($volume) } Vol ({ $limit  }) bräuchten länger, als ihr Beckengang lässt.
left_out-no_weak_bottle = { $why  } erlaubt { PLAIN($most) } Vol, die schwächste Flasche hat { PLAIN($weakest) } Vol: eine schwächere ins Regal stellen.
mix-add_developer = { TENTHS($volume) } Vol statt { PLAIN($wanted) }: { WEIGHT($grams) } von { PLAIN($bottle) } Vol zugeben.
mix-anew = { TENTHS($volume) } Vol statt { PLAIN($wanted) }: neu anmischen.
mix-thin = Dünn, 1 : { HUNDREDTHS($parts) }: { WEIGHT($grams) } Blondierung zugeben.
mix-thick = Dick, 1 : { HUNDREDTHS($parts) }: { WEIGHT($grams) } Entwickler zugeben.

## The chair

advice-label_up = Die Etikettzeit ist um: jetzt ausspülen
advice-ready = Fertig: diese Zone ausspülen
advice-leave = Drauflassen
advice-leave_sure = Drauflassen; dann sicher genug zum Ausspülen
advice-leave_as_sure_as = Drauflassen; ein weiterer Blick sagt nicht mehr
advice-misfit = Diese Ablesungen passen nicht: abwischen, trocknen, neu ablesen
advice-leave_to_label = Bis zur Etikettzeit drauflassen
advice-read = Abwischen und ablesen
advice-read_first = Eine erste Folie abwischen und ablesen
advice-stops_near = Endet zur Etikettzeit bei { TENTHS($level) }: tieferen Ton oder weiteren Besuch planen
advice-stops_near_help = Endet zur Etikettzeit bei { TENTHS($level) }: { $ways  } oder weiterer Besuch
short_help-refresh = auffrischen
short_help-warm = wärmen
short_help-deeper = tieferer Ton
act-stop = { $lane  } jetzt ausspülen
act-rinse = { $lane  } ausspülen
act-wipe_out = { $lane  } auswischen
act-dry_out = { $lane  } trocknen oder abwischen
act-rinse_two = { $lanes  } ausspülen
act-rinse_together = { WHOLE($count) } Zonen zusammen ausspülen
act-read = { $lane  } abwischen und ablesen
act-short = { $lane  } bleibt zu tief
act-finish = { $lane  } fertig auftragen
act-finish_refresh = Neues Produkt auf { $lane  } fertig auftragen
act-start = { $lane  } beginnen
act-mix = Schale für { $lane  } anmischen
act-new_bowl = Neue Schale für { $lane  }
act-should_look = sollte wie { LEVEL($level) } aussehen, { $undertone  }
act-target = Ziel { LEVEL($target) }
act-read_again = Diese Ablesungen passen nicht: abwischen, trocknen, neu ablesen; { $seen  }
act-read_at = Bei { LEVEL($level) } abgelesen; Ziel { LEVEL($target) }
act-read_at_last_foils = Bei { LEVEL($level) } abgelesen; Ziel { LEVEL($target) }; letzte Folien, diese zuerst ansehen
act-bowl_is_stale = diese Schale ist { WHOLE($age) } min alt, sie hält { WHOLE($life) }: der Rest hellt weniger auf
act-clock_starts = { PLAIN($volume) } Vol, letzte Passée drauf: ihre Uhr läuft
act-to_apply = { PLAIN($volume) } Vol, { WHOLE($minutes) } min Auftrag
act-review = Alle Zonen ausgespült: durchsehen
    .detail = Etwas antrocknen, jede Zone ablesen
act-basin = Jetzt am Becken
    .detail = Dort stehen Toner und Uhren
note-own_product = { $product }
note-misfit = trocken neu ablesen
note-stray = hellt auf wie kein Haar seiner Art
note-warmed = gewärmt
note-refreshed = { $times ->
        [1] aufgefrischt
       *[other] { WHOLE($times) }-mal aufgefrischt
    }
note-dried = trocken, steht still
note-barrier = Barriere
note-open_air = offen, trocknet
note-dragged = Produkt gezogen
note-stale_bowl = alte Schale, hellt { PERCENT($lost) } weniger auf
note-scalp_warm = Kopfhaut fühlt sich warm an
note-returns_slowly = geht langsam zurück
note-last_foils = letzte Folien
option-refresh = Mit { PLAIN($volume) } Vol auffrischen
option-cool = Wärme wegnehmen
option-warm = Wärmen
option-barrier = Als Barriere drauflassen, Ansätze weiter
option-pull_out = Aus { $covering  } nehmen
option-cover = Mit Folie bedecken
option-drag = Produkt in die Spitzen ziehen
option-label_runs = { $lane  }: ihre Etikettzeit läuft
option-dry = Austrocknen
option-stops_at = hält bei { TENTHS($level) }; die Etikettzeit läuft weiter
effect-as_before = fertig wie bisher
effect-sooner = { WHOLE($minutes) } min früher fertig
effect-later = { WHOLE($minutes) } min später fertig
effect-ready_in = fertig in etwa { WHOLE($minutes) } min
effect-reaches = erreicht bis zur Etikettzeit { TENTHS($level) }
replan-change = { PLAIN($before) } → { PLAIN($volume) } Vol für { $lane  }
replan-lifts_more = { $lane  } hellt { PERCENT($share) } mehr auf als erwartet: { $change  }
replan-lifts_less = { $lane  } hellt { PERCENT($share) } weniger auf als erwartet: { $change  }
replan-early = Sie kommt { WHOLE($minutes) } min früher drauf als geplant: { $change  }
replan-read = Das Abgelesene verschiebt es: { $change  }

## The review

band = { $facts }
band-beside_zone = der Rest der Zone
band-beside_head = der größte Teil des Kopfes
band-rest = { $amount ->
        [faint] schwacher
        [clear] deutlicher
       *[strong] starker
    } Rest { $hue  }
band-darker = { TENTHS($levels) } { $levels ->
        [1] Stufe
       *[other] Stufen
    } dunkler als { $beside  }
band-lighter = { TENTHS($levels) } { $levels ->
        [1] Stufe
       *[other] Stufen
    } heller als { $beside  }
band-warmer = wärmer als { $beside  }
band-cooler = kühler als { $beside  }
band-difference = Unterschied { WHOLE($difference) }
band-width = { LENGTH($mm) } breit
band-whole_zone = die ganze Zone
way-tone = Jetzt tönen
way-again = Heute noch einmal blondieren
way-visit = Weiterer Besuch
way-lower = Wunsch senken
way_tone-on_target = Am Ziel
way_tone-short = { TENTHS($short) } { $short ->
        [1] Stufe
       *[other] Stufen
    } zu tief: in dieser Tiefe getönt
way_tone-formula = { $formula }, { WHOLE($minutes) } min, Unterschied { TENTHS($away) } zum Wunsch
way_again-gain = { TENTHS($level) } → etwa { TENTHS($end) }, bisher { WHOLE($so_far) } min Produkt
way_again-not_planned = nicht planbar, bisher { WHOLE($so_far) } min Produkt
way_visit-later = Jetzt bei { LEVEL($level) } tönen; die letzten { TENTHS($short) } Stufen, wenn das Haar geruht hat
way_lower-even = Den ganzen Kopf auf { LEVEL($level) }: heute gleichmäßig
review-read_first = { $lane  }{ $more ->
        [0] {""}
       *[other] {" "}und { WHOLE($more) } weitere
    } erst trocken oder feucht ablesen.
review-again = Heute noch einmal blondieren: { $lanes  }. Der Rest wartet auf den Toner.
review-later = Jetzt tönen; { $lanes  } kann bei einem weiteren Besuch weiter.
review-on_target = Alles am Ziel: jetzt tönen.

## The tone

tone-counter = { CAPITAL($undertone) } bei { LEVEL($level) }: { $counter  }; { $instead  } allein ließe es { $left  }
tone-counter_rest = Ein Rest { $rest  } auf { $undertone  } bei { LEVEL($level) }: { $counter  }; { $instead  } allein ließe es { $left  }
tone-empty_shelf = Im Regal ist kein Toner.
gives_up-nearest = näher kommt dieses Regal nicht
gives_up-apart = um { TENTHS($apart) } ungleichmäßiger
gives_up-away = { TENTHS($away) } weiter von den Wünschen
gives_up-worst = ein Teil um { TENTHS($away) } weiter von seinem Wunsch
gives_up-nothing = gibt nichts auf
gives_up-gains = { TENTHS($away) } näher, keine weitere Schale wert
tone_act-apply = Schale { WHOLE($bowl) } drauf: { $lanes  }
tone_act-stop = Toner ausspülen, Etikettzeit ist um: { $lanes  }
tone_act-emulsify = Emulgieren: { $lanes  }
    .detail = feuchte Hände, durch die Spitzen einarbeiten
tone_act-strand = Eine untere Strähne ausspülen und ansehen: { $lanes  }
    .detail = danach wieder darüberziehen
tone_act-rinse = Toner ausspülen: { $lanes  }
tone_act-bowl = { $formula  }, { $parts ->
        [1] { WHOLE($most) } min
       *[other] nacheinander; der erste { WHOLE($most) } min drauf, der letzte { WHOLE($least) } min
    }
tone_act-should_look = sollte so aussehen: { $formula  }
would_reach-shade = { $family  }, Tiefe { LEVEL($level) }, 1:{ PLAIN($parts) } gemischt, käme hin
would_reach-lighter = kein Ton käme hin: das Haar muss dafür bei { LEVEL($level) } sein
would_reach-drawn_out = erst den Rest ({ $rest  }) herausziehen, dann käme es hin
would_reach-nothing = kein Ton käme hin: eine andere Farbe wünschen
tone-much = { WEIGHT($grams) } insgesamt sind mehr als die üblichen 60 bis 120: { WHOLE($parts) } Teile langes oder dichtes Haar
tone-taught_by = richtet sich nach einer Strähne von { $lanes  }
tone-fill = { $lanes  } erst mit { $warm ->
        [copper] einem warmen Kupfergold
       *[red_brown] einem warmen Rotbraun
    } füllen, 10 min, abgewischt: so viel helleres Haar hält den tiefen Ton sonst nicht.
toner_warning-looks_dark = Es sieht nur dunkel aus: etwa { PERCENT($share) } des Farbstoffs ist drin.
    .help = Produkt auf dem Haar verdeckt das Ergebnis: eine untere Strähne ausspülen und ansehen, bei Bedarf Produkt wieder darüberziehen.
toner_warning-hidden = Produkt auf dem Haar verdeckt das Ergebnis: vor dem Ausspülen eine untere Strähne ausspülen und ansehen.
remedy-counter = Mit Rot oder Rosa gegensteuern
remedy-deeper = Tiefer gehen, neutral
remedy-toward_ends = Den Rest an diese Spitzen annähern
remedy-warm = Diese Spitzen wärmen
remedy-draw_out = Erst herausziehen: Blondierrest mit Shampoo, oder Entferner
probe-same = Vor der Probe: { $before  }, { WHOLE($minutes_before) } min. Jetzt dasselbe für { WHOLE($minutes) } min.
probe-moved = Vor der Probe: { $before  }, { WHOLE($minutes_before) } min. Jetzt { $now  }, { WHOLE($minutes) } min; Asch { PERCENT($ash_before) } → { PERCENT($ash) } des Farbstoffs, Gold und Neutral { PERCENT($warm_before) } → { PERCENT($warm) }.

## Afterwards

next_visit-closed = Am { DAY($day) } ist das Studio geschlossen
next_visit-rests = Das Haar ruht sechs Wochen, bevor es weiter aufgehellt wird
next_visit-rests_long = Das Haar ruht sechs Wochen, bevor es weiter aufgehellt wird; der Nachwuchs ist dann über { LENGTH($most) } und wird in zwei Bahnen gearbeitet
next_visit-roots = Kurz bevor der Nachwuchs länger als { LENGTH($most) } ist: ein Ansatzauftrag, kein Band
next_visit-taught = die Strähnen haben gezeigt, wie dieser Kopf aufhellt: jetzt ist er planbar
next_visit-tone = An der Kopfhaut ist nichts nachzuarbeiten: der Ton wird aufgefrischt
reminder = Ihr Termin ist am { DAY($on) }. { $begin  } bitte { $hair ->
        [toned] kein violettes, blaues oder aschiges Shampoo und keine Farbspülung
       *[plain] kein farbiges Shampoo und keine Farbspülung
    }, keine Farbe aus der Packung, kein Henna, und an den letzten zwei Tagen keine Öle und kein Trockenshampoo. Am Tag davor mit einem einfachen Shampoo waschen. Sagen Sie uns, wenn Medikamente, Allergien oder wunde Kopfhaut neu sind.
reminder-from_now = Ab jetzt
reminder-from_day = Ab dem { DAY_OF_YEAR($day) }
last_time = { $ran }: { $did }; { $then }
last_time-ran = { PLAIN($volume) } Vol, { WHOLE($minutes) } min
last_time-ran_in_more = { PLAIN($volume) } Vol, { WHOLE($minutes) } min in { WHOLE($applications) } Aufträgen
last_time-ran_past_label = { PLAIN($volume) } Vol, { WHOLE($minutes) } min, über die Etikettzeit
last_time-came_to_target = kam ans Ziel
last_time-came_short = blieb { TENTHS($levels) } zu tief
last_time-came_past = ging { TENTHS($levels) } darüber hinaus
last_time-same_again = wieder dasselbe
last_time-corrected = { WHOLE($volume) } Vol für { WHOLE($minutes) } min
last_time-most = { WHOLE($volume) } Vol für { WHOLE($minutes) } min ist das Höchste eines Auftrags: zwei Aufträge oder ein weiterer Besuch
gain-touch = einen Hauch
gain-steps = { $count ->
        [1] eine Stufe
        [2] zwei Stufen
        [3] drei Stufen
        [4] vier Stufen
        [5] fünf Stufen
       *[other] sechs Stufen
    }
gain-several = mehrere Stufen
handout-done = Was wir gemacht haben
handout-nothing_done = Wir haben Ihr Haar angesehen und gemeinsam geplant.
handout-lightened = Aufgehellt: { $lanes }, um { $gain  }.
handout-palest = Darunter ist der hellste Teil jetzt: { $undertone  }.
handout-toned = Getönt haben wir Richtung { $tones  }.
handout-short = Wir sind noch nicht dort, wo wir hinwollen: der Rest kommt bei einem weiteren Besuch, wenn das Haar geruht hat.
handout-care = Wie Sie es pflegen
    .wash = Mit der ersten Wäsche 48 Stunden warten; dann selten, lauwarm, mit mildem Shampoo waschen.
    .care = Jedes Mal Spülung, und vier Wochen lang einmal die Woche eine Bond- oder Proteinkur.
    .heat = Vor Hitze, Sonne, Chlor und Salzwasser schützen; sanft trocknen, von den Spitzen aufwärts kämmen.
    .fades = Ein Toner verblasst über Wochen. Wird es warm, hilft einmal die Woche eine violette Spülung, bis wir etwas anderes sagen.
handout-watch = Wann Sie anrufen
    .skin = Wenn die Kopfhaut länger als einen Tag brennt, Blasen wirft oder juckt oder das Gesicht anschwillt: kühl spülen und ärztliche Hilfe suchen.
    .hair = Wenn Haar bricht oder sich nass wie Gummi dehnt: keine Hitze, keine Farbe, und rufen Sie uns an.
handout-before_next = Vor dem nächsten Besuch
handout_tone-icy = einem eisigen Weiß
handout_tone-cool = einem kühlen Ton
handout_tone-neutral = einem neutralen Ton
handout_tone-beige = einem Beige
handout_tone-warm = einem warmen Ton
handout_tone-gold = einem Goldton
handout_tone-copper = einem Kupfer
handout_tone-red_brown = einem Rotbraun
handout_tone-rose = einem Rosé
handout_tone-silver = einem Silberton
handout_tone-pearl = einem Perlton
handout_tone-pastel = einem Pastellton

## Limits: how a field must be

limit-number = eine Zahl
limit-finite = eine endliche Zahl
limit-whole = eine ganze Zahl
limit-flag = wahr oder falsch
limit-string = ein Text
limit-given = angegeben
limit-list = eine Liste
limit-object = ein JSON-Objekt
limit-known_field = ein hier bekanntes Feld
limit-field_of = ein Feld von { $kind  } ({ $known  })
limit-one_of = eines von { $known  }
limit-one_of_zones = eine der Zonen { $known  }
limit-made_of = aus { $known  } gebildet
limit-other = von anderer Art ({ $code  })
limit-from = { PLAIN($least) } oder mehr
limit-up_to = { PLAIN($most) } oder weniger
limit-shorthand_empty = eine Zeile wie 5 alle, Spitzen 8.5, Wunsch 9
limit-shorthand_says_nothing = eine Tonhöhe, Vorgeschichte, Porosität oder mm in jedem Satzteil
limit-shorthand_word = Zonen, Teile, Tonhöhen und Vorbehandlungen, in Wörtern dieser Seite
limit-longest = höchstens { WHOLE($most) } Zeichen
limit-shortest = mindestens { WHOLE($least) } Zeichen
limit-at_most_so_many = eine Liste von höchstens { WHOLE($most) }
limit-at_least_so_many = eine Liste von mindestens { WHOLE($least) }
limit-moment = ein Zeitpunkt, wie 2026-01-31T09:30:00Z
limit-closed_last = nicht vor dem ersten Tag, zusammen höchstens { $most } Tage
limit-date = ein Tag, wie 2026-01-31
limit-text = 1 bis { WHOLE($most) } Zeichen
limit-range = { $unit ->
    [g] eine Zahl von { WEIGHT_FIGURE($low) } bis { WEIGHT_TENTHS($high) }
    [mm] eine Zahl von { LENGTH_FIGURE($low) } bis { LENGTH($high) }
   *[other] eine Zahl von { PLAIN($low) } bis { PLAIN($high) }{ $unit ->
        [level] {" "}(Tonhöhe)
        [parts] {" "}Teile auf einen
        [vol] {" "}Vol
        [min] {" "}min
        [h] {" "}h
        [K] {" "}K
        [pairs] {" "}Paar Händen
        [rows] {" "}Reihen
        [sections] {" "}Passées
        [levels] {" "}Tonhöhen
        [degrees] {" "}Grad
        [years] {" "}Jahren
        [days] {" "}Tagen
        [none] {""}
       *[other] {" "}{ $unit }
    }
}
limit-count = { WHOLE($least) } bis { WHOLE($most) } { $noun ->
        [lab] Zahlen: L*, a*, b*
        [zones] Zonen
        [lanes] Bahnen
        [parts] Teile
        [readings] Ablesungen
        [visits] Gänge
        [strands] Strähnen
        [toners] Toner
        [lighteners] Blondierungen
        [developers] Entwickler
        [events] Handlungen
        [eyes] Augen
        [kinds] Haararten
        [areas] Flächen
        [closed] Feiertage und Pausen
       *[other] { $noun }
    }
limit-patches = jedes Feld der Karte; es fehlt: { $missing  }
limit-a_shade = die Farbe eines Tons auf hellstem Haar; das ist keine
limit-lab = drei Zahlen: L*, a*, b*
limit-above_zero = über 0
limit-time_zone = ein Zeitpunkt mit Zeitzone
limit-day = ein Tag von { $low  } bis { $high  }, wie 2026-01-31
limit-most_lines = höchstens { WHOLE($most) } Zeilen
limit-yes_no = ja, nein oder nichts
limit-no_control = ohne Steuerzeichen
limit-no_dot = ohne Punkt
limit-at_least_one = mindestens eines
limit-at_most_max_volume = höchstens max_volume { PLAIN($most) } Vol
limit-given_for_oxidative = angegeben für einen oxidativen Ton
limit-only_for_wash = 0: nur eine Pigmentwäsche wird verdünnt
limit-nothing_for_wash = nichts bei einer Pigmentwäsche: sie kommt nie mit Peroxid drauf
limit-one_dye_family = mindestens eine Farbstofffamilie
limit-sum_of_shares = Anteile, die zusammen 1 ergeben
limit-not_below_start_level = auf oder über der Ausgangshöhe { PLAIN($level) }
limit-past_its_start = hinter dem Anfang, { LENGTH($least) }
limit-after_the_part_before = wo der Teil davor endet oder später, { LENGTH($least) }
limit-within_length = innerhalb der Haarlänge, { LENGTH($most) }
limit-most_lanes = höchstens { WHOLE($most) } Bahnen
limit-most_zones = höchstens { WHOLE($most) } Zonen
limit-most_strands = höchstens { WHOLE($most) } Strähnen
limit-most_measurements = höchstens { WHOLE($most) } Messungen
limit-most_clients = höchstens { WHOLE($most) } Personen
limit-one_or_two_shades = ein Ton oder zwei
limit-one_each_shade = { WHOLE($count) } Werte, einer je Ton
limit-one_each_zone = { WHOLE($count) } Werte, einer je Zone
limit-both_oxidative = beide oxidativ oder keiner
limit-times_of_both_labels = Zeiten, die beide Etiketten erlauben ({ $shades  })
limit-share_of_second = 1 bei einem Ton, weniger als 1 mit einem zweiten
limit-one_for_this_person = mindestens einer, der bei dieser Person erlaubt ist
limit-one_developer = mindestens ein Entwickler
limit-one_developer_on_shelf = mindestens ein Entwickler im Regal
limit-least_developer = mindestens { WEIGHT_TENTHS($least) } Entwickler
limit-bottles = von { PLAIN($low) } bis { PLAIN($high) } Vol (Flaschen im Regal)
limit-different_keys = Zonen mit verschiedenen Schlüsseln
limit-different_from_others = anders als die übrigen: { $name  }
limit-another_lane = eine andere Bahn als zone_key
limit-given_or_scalp = angegeben, oder Kopfhaut
limit-services_filed = mindestens { WHOLE($least) } abgelegte mit diesem Produkt
limit-event = ein Ereignis mit Art und Daten
limit-given_to_plan = angegeben in einer Datei, die geplant werden soll
limit-versions = { $known  }, die Versionen, die dieses Programm liest
limit-columns = die Spalten { $columns  }
limit-cells = { WHOLE($count) } Zellen
limit-values = { WHOLE($count) } Werte
limit-quotes_in_pairs = paarweise Anführungszeichen
limit-with = mit { $names  }
limit-with_before_data = mit { $names  }, vor den Daten
limit-one_measurement = mindestens eine Messung
limit-same_facts = gleiche Angaben in jeder Zeile von { $strand  }
limit-minute_and_level = Minute und Tonhöhe, oder keines von beiden
limit-on_shelf = eine Blondierung aus dem Regal
limit-none_on_shelf = keine im Regal
limit-as_kept = so, wie dieses Programm es aufhebt
limit-from_today_within_two_years = ein Zeitpunkt ab heute, innerhalb von zwei Jahren
limit-after_last_within_two_years = ein Zeitpunkt mit Zeitzone nach dem letzten Besuch, innerhalb von zwei Jahren
limit-open_day = ein Tag, an dem das Studio offen ist
limit-within_a_year = ein kommender Zeitpunkt, innerhalb eines Jahres
limit-within_two_days = ein Zeitpunkt mit Zeitzone in den letzten zwei Tagen
limit-years_away = ein Zeitpunkt mit Zeitzone, höchstens { WHOLE($most) } Jahre entfernt
limit-moment_between = ein Zeitpunkt mit Zeitzone, von { $low  } bis { $high  }
limit-not_in_future = nicht in der Zukunft
limit-all_zones_once = alle Zonen einmal ({ $zones  })
limit-different_keys_of = { $field  } mit verschiedenen Schlüsseln
limit-client_name = der Name der Person, { $name  }
limit-field_of_model = wie gesagt: { $why  }
limit-password = stärker: { $why  }
limit-own_password = Ihr jetziges Passwort
limit-another_password = ein anderes als bisher
limit-email = eine Adresse wie name@studio.example
limit-code_of_phone = die sechs Ziffern, die Ihr Telefon jetzt zeigt
limit-most_links = höchstens { WHOLE($most) } gültige; erst einen widerrufen
limit-most_of_a_kind = höchstens { WHOLE($most) } einer Art
limit-no_zone_open = keine: auf keiner Zone ist schon Produkt
limit-first_of_bad_lines = { $limit  } (die erste von { WHOLE($count) } fehlerhaften Zeilen)
limit-given_for = angegeben für { $of  }
limit-json = JSON ({ $why  })
limit-json_body = JSON
limit-utf8 = Text in UTF-8
limit-readable_file = eine lesbare Datei ({ $why  })
limit-most_bytes = höchstens { WHOLE($most) } Byte
limit-file_of_bytes = eine Datei von 1 bis { WHOLE($most) } Byte
limit-most_pixels = höchstens { WHOLE($most) } Pixel
limit-picture = ein Bild ({ $formats  })
limit-jpeg = ein JPEG-Bild
limit-depth = höchstens { WHOLE($most) } tief
limit-plain_text = ein Text ohne NUL und einzelne Surrogate
limit-plain_keys = Schlüssel ohne NUL und einzelne Surrogate
limit-finite_only = nur endliche Zahlen
limit-format = { $format  } Version { WHOLE($version) }
limit-member = ein Mitglied mit Anmeldename und Rolle
limit-client_of_archive = eine Person dieses Archivs
limit-on_archives_shelf = im Regal dieses Archivs
limit-step_of_log = { $step  }, wie ihr Protokoll sagt
limit-studio_settings = die Einstellungen eines Studios
limit-entry_once = jeder Eintrag einmal
limit-archive_entries = Einträge { $names  } und photos/*.jpg
limit-not_encrypted = unverschlüsselt
limit-packed = höchstens { WHOLE($most) } Byte, gepackt { WHOLE($ratio) } : 1
limit-unpacked = höchstens { WHOLE($most) } Byte entpackt
limit-most_entries = höchstens { WHOLE($most) } Einträge

## Errors: what happened, what is kept, what to do

problem-401 = Abgemeldet
problem-403 = Nicht erlaubt
problem-404 = Nicht gefunden
problem-409 = Passt nicht
problem-422 = Außerhalb der Grenzen
problem-other = Fehler
error-already_again = Diese Zone wird schon erneut blondiert.
error-already_barrier = Das Produkt dieser Zone ist schon eine Barriere.
error-already_begun = In diesem Service wurde schon gearbeitet; sein Protokoll bleibt. Stattdessen ablegen.
error-already_dry = Diese Zone wurde schon getrocknet.
error-already_emulsified = Es wurde schon emulgiert.
error-already_here = Einige Zeilen dieses Archivs sind hier schon vorhanden.
error-already_rinsed = Diese Zone wurde schon ausgespült.
error-already_started = Diese Zone wurde schon begonnen.
    .plan = Es ist schon Produkt auf dem Haar; der Plan kann nicht neu übernommen werden.
    .strands = Der Plan ist am Platz; Strähnentests sind abgeschlossen.
    .consultation = Der Plan ist am Platz; die Beratung ist abgeschlossen.
error-already_warm = Auf dieser Zone ist schon Wärme.
error-bad_archive = Die Datei ist kein Studioarchiv (keine Zip-Datei).
    .json = { $where  }: kein JSON ({ $why  }).
    .unreadable = { $name  }: nicht lesbar.
error-bad_csv = Zeile { WHOLE($line) }: kein CSV ({ $why  }).
error-caution = { $title }. { $advice }
    .shade = { $shade }: { $title }. { $advice }
error-cautions_open = Noch zu bestätigen: { $missing  }.
error-changed_elsewhere = Das wurde inzwischen von jemand anderem geändert; hier ist der neue Stand.
error-consultation_open = Erst die Beratung abschließen, dann planen.
error-enough_addenda = Eine Akte fasst { WHOLE($most) } Nachträge.
error-enough_photos = Ein Service fasst { WHOLE($most) } Fotos; erst eines herausnehmen.
error-erased = Diese Person wurde gelöscht; neu anlegen.
    .written = Diese Person wurde gelöscht; es kann nichts mehr über sie geschrieben werden.
error-event_id_taken = Diese Ereignisnummer ist vergeben.
    .other = Diese Ereignisnummer gehört einer anderen Handlung: { $kind  }. Nichts wurde geändert.
error-in_use = { $name  } steht in Services; deren Akte braucht es.
error-label_unread = Auf dem Etikett von { $product  } nachlesen, dass es noch einmal drauf darf.
    .refresh = Erst das Etikett von { $product  } lesen: erlaubt es heute einen weiteren Auftrag?
error-last_owner = Ein Studio braucht jemanden, dem es gehört; erst eine andere Person dazu machen.
error-busy = Der Server rechnet gerade für viele. Nichts ist verloren; gleich noch einmal versuchen.
error-bad_json = Das ist kein JSON.
error-code_needed = Die sechs Ziffern vom Telefon oder einen Wiederherstellungscode eingeben.
error-wrong_code = Der Code stimmt nicht. Auf den nächsten warten; nach falschen dauert es jedes Mal länger.
error-second_factor_set = Ein zweiter Faktor besteht schon; erst abschalten.
error-second_factor_none = Kein zweiter Faktor eingerichtet.
error-second_factor_demanded = Das Studio verlangt von allen einen zweiten Faktor; nur der Eigentümer kann das ändern.
error-owes_password = Erst ein eigenes Passwort wählen.
error-owes_second_factor = Das Studio verlangt von allen einen zweiten Faktor; erst einrichten.
error-later_acts_depend = Spätere Handlungen bauen darauf auf; erst diese zurücknehmen.
    .acknowledged = Die Beratung wurde damit abgeschlossen; erst das zurücknehmen.
error-locked_out = Zu viele Versuche. Eine Viertelstunde warten.
error-sign_in_busy = Gerade melden sich zu viele an. Kurz warten und noch einmal versuchen.
error-too_many_lines = Dieses Gerät hat zu viele Tafeln offen; einige schließen.
error-begin_token = Diese Adresse hat der Server nicht ausgegeben, oder sie ist älter als eine Woche. Server neu starten für eine neue.
error-begun_already = Hier gibt es schon ein Studio; bitte anmelden.
error-name_taken = Der Name { $name  } ist vergeben; einen anderen zum Anmelden wählen.
    .shelf = { $name  } steht schon im Regal.
error-no_cgats = Die Datei beginnt nicht wie CGATS-Text (CGATS.17).
error-no_database = Die Datenbank antwortet nicht. Das Gesendete wurde nicht gespeichert; gleich noch einmal versuchen.
    .stream = Die Datenbank antwortet nicht; gleich noch einmal versuchen.
error-no_ends = Produkt wird nur in wartende Spitzen derselben Zone gezogen.
error-no_heat = { $why }
error-no_lightener = Erst eine Blondierung wählen.
    .shelf = Erst eine Blondierung wählen; vielleicht ist das Regal leer.
    .file = Die Datei hat keine Blondierung.
error-no_peroxide = { $shades  }: eine Pigmentwäsche wird nicht mit einem oxidativen Ton gemischt.
    .developer = developer_g: muss bei einer Pigmentwäsche 0 sein ({ $shades  }), war { PLAIN($grams) }.
error-no_plan = Noch ist kein Plan am Platz.
    .file = Bis Minute { PLAIN($minute) } im Protokoll der Datei wurde kein Plan an den Platz genommen.
error-no_reader = Kein Farbmessgerät eingerichtet (FERVENS_READER); mit dem Auge ablesen.
error-no_refresh = { $why }
error-no_camera = Hier ist keine Kamera simuliert; ein Bild aufnehmen.
error-no_round = Von Ihnen ist keine Kalibrierrunde gespeichert.
error-no_studio = Dieses Konto gehört noch zu keinem Studio; der Eigentümer kann es hinzufügen.
error-no_toner = Auf dieser Zone ist kein Toner.
error-no_zones = Erst mindestens eine Zone des Kopfes ablesen.
error-not_again = { $lane  } darf heute nicht noch einmal blondiert werden: { $why  }.
error-not_allowed = Ihre Rolle erlaubt das nicht.
    .lead = Das darf eine Assistenz nicht: { $act  }; bitte eine Fachkraft fragen.
    .owner = Das darf nur der Eigentümer: { $act  }.
error-not_applying = Diese Zone wird nicht aufgetragen.
error-not_empty = Dieses Studio hat schon Personen oder Produkte; ein Archiv kommt in ein leeres.
error-not_filed = Die Akte ist noch offen: dort schreiben; Nachträge kommen nach dem Ablegen.
    .next = Erst ablegen; der nächste Besuch folgt aus dem Ergebnis.
error-not_found = Hier ist nichts, was Sie sehen dürfen.
error-not_kept = Auf diese Zone kam Blondierung; als Bahn ablesen.
error-not_kept_at_all = Ein Wert ist nicht speicherbar. Nichts wurde gespeichert.
error-not_planning = Dieser Service ist nicht beim Plan.
error-not_processing = Auf dieser Zone wirkt kein Produkt ein.
error-not_read = Erst { $lane  } nach dem Ausspülen ablesen.
error-not_rinsed = Blondierung ausspülen, bevor Toner draufkommt.
    .probe = Blondierung vor der Probe ausspülen.
    .again = Erst ausspülen und ablesen, dann noch einmal blondieren.
    .review = Blondierung vor der Durchsicht ausspülen.
    .tone = Nur ausgespülte Zonen können getönt werden.
error-not_warm = Auf dieser Zone ist keine Wärme.
error-nothing_carried = Nichts Gelerntes wurde in { $name  } übernommen.
error-nothing_filed = Kein abgelegter Service zum Weiterführen; neu beginnen.
error-nothing_measured = In diesem Service wurde nicht gemessen; es gibt nichts auszugeben.
error-nothing_on = Auf dieser Zone ist noch kein Produkt.
error-nothing_planned = Keine Bahn dieses Plans bekommt Produkt.
error-nothing_to_drag = Von dort ist kein Produkt zu ziehen.
error-nothing_deeper = Kein Teil ist tiefer gewünscht, als er ist.
error-no_tone_parts = Mindestens eine Zone ablesen, die getönt werden soll.
error-not_by_hand = Was ans Becken geht, wird hier errechnet, nicht gesendet.
error-nothing_to_lift = Keine Zone ist heller gewünscht, als sie ist; es gibt nichts zu planen.
    .consultation = Der Service ist beim Plan; mindestens eine Zone muss aufgehellt werden.
error-nothing_to_read = Erst fertig auftragen, dann ablesen.
error-nothing_to_rinse = Auf dieser Zone ist kein Produkt.
error-picture = Das Bild ist nicht lesbar.
    .no_card = Die Karte ist nicht ganz zu sehen: alle vier Eckmarken müssen im Bild sein.
    .no_picture = Das ist kein Bild (JPEG, PNG oder WebP).
    .too_large = Das Bild ist zu groß.
    .too_dark = Zu dunkel: mehr Licht, oder das Fenster öffnen.
    .burnt_out = Ausgebrannt: die hellen Felder haben keine Farbe mehr. Mit weniger Licht aufnehmen.
    .blurred = Unscharf: ruhig halten, auf die Karte tippen, neu aufnehmen.
    .uneven-left = Ungleiches Licht: die linke Seite der Karte liegt im Schatten. Zum Licht drehen.
    .uneven-right = Ungleiches Licht: die rechte Seite der Karte liegt im Schatten. Zum Licht drehen.
    .uneven-top = Ungleiches Licht: oben liegt die Karte im Schatten. Zum Licht drehen.
    .uneven-bottom = Ungleiches Licht: unten liegt die Karte im Schatten. Zum Licht drehen.
    .gloss = Die Strähne glänzt nass: abtupfen und die Karte etwas neigen.
    .other_light-left = Auf die Strähne fällt anderes Licht als auf die Karte, links davon.
    .other_light-right = Auf die Strähne fällt anderes Licht als auf die Karte, rechts davon.
    .other_light-top = Auf die Strähne fällt anderes Licht als auf die Karte, oben.
    .other_light-bottom = Auf die Strähne fällt anderes Licht als auf die Karte, unten.
error-reader_away = Das Farbmessgerät antwortet nicht; mit dem Auge ablesen.
error-reader_error = Das Farbmessgerät meldet: { $told  }.
error-reader_line = Das Farbmessgerät hat abgebrochen; noch einmal versuchen oder mit dem Auge ablesen.
    .other = Was unter { $address  } antwortet, ist kein Farbmessgerät.
    .sent = Das Farbmessgerät hat { $line  } gesendet, keine Messung.
error-refused = Das war nicht verständlich; nichts wurde gespeichert.
field-zones = Zone
field-strands = Strähne
field-parts = Teil
field-readings = Ablesung
field-start_level = Tonhöhe jetzt
field-target_level = gewünschte Tonhöhe
field-now_level = Tonhöhe jetzt
field-wished_level = gewünschte Tonhöhe
field-wanted_level = gewünschte Tonhöhe
field-level = Tonhöhe
field-name = Name
field-first_name = Vorname
field-last_name = Nachname
field-username = Anmeldename
field-password = Passwort
field-email = Mailadresse
field-code = Code
field-language = Sprache
field-role = Rolle
field-volume_strength = Stärke, Vol
field-minutes = Minuten
field-starts_at = Tag und Zeit
field-birth_date = Geburtstag
field-patch_test_placed_at = Hauttest angelegt
field-growth_mm_per_month = Wachstum im Monat
field-length_mm = Haarlänge
field-from_mm = ab
field-to_mm = bis
field-off_scalp_mm = Abstand zur Kopfhaut
field-time_min = verfügbare Zeit, min
field-wish = Wunsch
field-notes = Notizen
field-contact = Erreichbarkeit
field-told = Angaben
field-photos = Fotos
field-text = Text
field-slot_min = gewünschte Zeit, min
field-label_max_min = längste Zeit, min
field-developer_parts = Entwickler auf einen Teil
field-max_volume = stärkster, Vol
field-stock_g = im Regal
field-old_password = jetziges Passwort
field-foil_count = Passées
field-pace_min_per_foil = Tempo, min je Passée
field-booked_min = gebucht, min
field-occurred_at = Zeit
field-low_g = knapp ab
field-price_per_g = Preis
field-max_volume_on_scalp = stärkster an der Kopfhaut, Vol
field-bowl_life_min = eine Schale hält, min
field-lift_factor = wie weit sie aufhellt
field-rate_factor = wie schnell sie aufhellt
field-max_applications = Aufträge in einem Besuch
field-developer_volume = Entwickler, Vol
field-label_min_min = kürzeste Zeit, min
field-patch_test_wait_h = Hauttest vorher, h
field-rest_mm = Strähne in Ruhe
field-pulled_mm = Strähne gezogen
field-back_mm = Strähne losgelassen
field-tint_level = Tonhöhe der Farbe darin
field-grey_share = Grauanteil
field-share = Anteil
field-spacing_mm = Abstand
field-stretch_before_percent = Dehnung vorher, %
field-stretch_after_percent = Dehnung nachher, %
field-volumes = Entwickler, Vol
field-visits = Gang zum Becken
field-visit_mins = Gang zum Becken, min
field-rows = Reihen
field-hands = Hände
field-product_g = Produkt
field-developer_g = Entwickler
field-mass_g = gewogen
field-wanted_volume = gewünschte Stärke, Vol
field-warmth = Wärme
field-blend_mm = Übergang
field-dilution = Verdünnung
field-weakest_natural = schwächster auf Naturhaar, Vol
field-weakest_worn = schwächster auf hellem, feinem oder porösem Haar, Vol
field-weakest_old_dye = schwächster auf alter Farbe, Vol
field-root_share = Ansätze
field-band_share = Bänder
field-open_air_share = an der Luft
field-tone_share = Toner
field-change_min = zur nächsten Zone, min
field-rinse_min = ein Gang zum Becken, min
field-look_min = eine Bahn angesehen, min
field-mix_min = eine Schale gemischt, min
field-idle_min = abgemeldet nach, min
field-closed_on = geschlossene Tage
field-first = erster Tag
field-last = letzter Tag
field-dyes = Farbstoffe
field-worked = was gut war
field-change = was anders werden soll
field-reason = Grund
field-currency = Währung
field-allergies = Allergien
field-medication = Medikamente
field-typed_name = der Name, noch einmal
field-label = Name der Fassung
field-for_name = für wen
field-studio = Name des Studios
field-rest_name = Name des Rests
field-new_password = neues Passwort
error-refused_at = { $field }.{ $told }
error-refused_within = { $place }: { $told }
error-service_closed = Der Service ist abgelegt; nichts kann hinzugefügt werden.
error-not_a_demo = Nur eine Vorführung kann geweckt werden.
error-signed_out = Bitte anmelden.
error-still_lifting = Auf einigen Zonen ist noch Blondierung; erst ausspülen.
    .file = Auf einigen Zonen der Datei ist noch Blondierung; erst ausspülen.
error-toned = Diese Zone wurde schon getönt.
error-toner_on = Auf dieser Zone ist ein Toner.
error-toner_open = Toner noch drauf: { $zones  }. Vor dem Ablegen ausspülen.
error-toner_over_label = Minuten: höchstens { PLAIN($most) } (Etikett von { $shade  }), war { PLAIN($minutes) }.
error-too_large = body: höchstens { WHOLE($most) } Byte, war { $value  }. Nichts wurde gespeichert.
error-too_late = Diese Zone wurde schon ausgespült.
error-puzzle = Die Seite war zu lange offen, oder ihre Antwort wurde schon benutzt. Neu laden; Getipptes lässt sich kopieren.
error-too_many_requests = Heute kamen zu viele Anfragen; bitte im Studio anrufen.
error-too_many_versions = Höchstens { WHOLE($most) } Versionen werden aufgehoben.
error-unknown_event = Es gibt kein solches Ereignis zum Zurücknehmen.
    .fold = kind: { $kind  } lässt sich nicht falten.
    .kind = kind: muss eines von { $known  } sein, war { $kind  }.
    .version = version: muss für { $kind  } von 1 bis { WHOLE($newest) } sein, war { WHOLE($version) }.
error-unknown_shade = Dieser Ton steht nicht mehr im Regal.
    .in_mind = Der gedachte Toner steht nicht mehr im Regal.
error-unknown_zone = Hier gibt es keine Zone '{ $key  }'.
    .kept = Kein gelassener Teil hat den Schlüssel '{ $key  }'.
error-round_over = Diese Runde ist vorbei. Nachbesprechung ansehen oder noch einmal versuchen.
error-round_not_over = Diese Runde ist noch nicht vorbei. Erst beenden.
error-only_in_practice = Das gibt es nur in Übungsrunden.
error-unlike_hair = Das Gemessene (L* { WHOLE($l) }, a* { WHOLE($a) }, b* { WHOLE($b) }) sieht nach keiner Tonhöhe dieses Haars aus: Strähne abwischen, flach legen und neu messen, oder mit dem Auge ablesen.
error-value_out_of_limit = { $field  }: muss { $limit  } sein, war { $value  }.
got-g = { WEIGHT_TENTHS($value) }
got-mm = { LENGTH($value) }
error-field_out_of_limit = { FIELD($field) }: muss { $limit  } sein, war { $value  }.
error-secret_out_of_limit = { FIELD($field) }: muss { $limit  } sein.
error-volume_over_limit = { $lane  }: höchstens { PLAIN($most) } Vol ({ $limit  }), war { PLAIN($volume) }.
error-wrong_password = Name oder Passwort stimmt nicht.
error-zones_open = Noch mit Produkt: { $zones  }. Vor dem Ablegen ausspülen.

## What a role does, for its refusal

doing-acknowledge_a_caution = einen Hinweis bestätigen
doing-add_members = Mitglieder hinzufügen
doing-bring_a_studio_in = ein Studio einlesen
doing-bring_clients_in = Personen einlesen
doing-move_a_visit = einen Besuch verschieben
doing-cancel_a_visit = einen Besuch absagen
doing-change_a_strength = eine Stärke ändern
doing-change_members = Mitglieder ändern
doing-change_the_shelf = das Regal ändern
doing-change_the_studio = das Studio ändern
doing-erase_a_client = eine Person löschen
doing-file_a_service = einen Service ablegen
doing-finish_a_consultation = eine Beratung abschließen
doing-keep_a_plan = einen Plan aufheben
doing-lighten_again = noch einmal blondieren
doing-make_links = Links anlegen
doing-measure_the_card = die Karte messen
doing-read_the_audit_trail = das Prüfprotokoll lesen
doing-read_a_patch_test = einen Hauttest ablesen
doing-remove_a_filed_photo = ein Foto eines abgelegten Service entfernen
doing-revoke_links = Links widerrufen
doing-take_a_plan_to_the_chair = einen Plan an den Platz nehmen
doing-take_a_service_file_in = eine Servicedatei einlesen
doing-take_clients_out = Personen ausgeben
doing-take_the_studio_out = das Studio ausgeben
doing-write_a_plan = einen Plan schreiben

## The audit trail

audit-account_changed = Konto geändert
audit-archive_brought_in = Archiv eingelesen
audit-archive_taken_out = Archiv ausgegeben
audit-card_forgotten = Karte wie gedruckt
audit-card_measured = Karte gemessen
audit-client_added = Person angelegt
audit-client_changed = Person geändert
audit-client_erased = Person gelöscht
audit-client_reminded = Person erinnert
audit-client_taken_out = Person ausgegeben
audit-clients_brought_in = Personen eingelesen
audit-clients_taken_out = Personen ausgegeben
audit-code_failed = zweiter Faktor falsch
audit-consultation_written = Beratung geschrieben
audit-developer_added = Entwickler hinzugefügt
audit-developer_changed = Entwickler geändert
audit-developer_removed = Entwickler entfernt
audit-eye_calibrated = Auge kalibriert
audit-eye_round_taken_back = Kalibrierrunde zurückgenommen
audit-feed_link_made = Kalenderlink angelegt
audit-feed_link_revoked = Kalenderlink widerrufen
audit-invitation_taken_back = Einladung zurückgenommen
audit-invitation_taken_up = Einladung angenommen
audit-learnt_factor_carried_in = gelernten Faktor übernommen
audit-learnt_factor_taken_back = gelernten Faktor zurückgenommen
audit-lightener_added = Blondierung hinzugefügt
audit-lightener_changed = Blondierung geändert
audit-lightener_removed = Blondierung entfernt
audit-measurements_brought_in = Messungen eingelesen
audit-member_added = Mitglied hinzugefügt
audit-member_changed = Mitglied geändert
audit-member_invited = Mitglied eingeladen
audit-password_changed = Passwort geändert
audit-password_reset = Passwort zurückgesetzt
audit-photo_added = Foto hinzugefügt
audit-photo_removed = Foto entfernt
audit-plan_version_kept = Planversion aufgehoben
audit-plan_written = Plan geschrieben
audit-reaction_to_oxidative_colour_answered = Reaktion auf oxidative Farbe beantwortet
audit-record_added_to = Akte ergänzt
audit-recovery_code_used = Wiederherstellungscode benutzt
audit-recovery_codes_made = Wiederherstellungscodes erzeugt
audit-reminder_taken_back = Erinnerung zurückgenommen
audit-request_came_in = Anfrage eingegangen
audit-requests_cleared = Anfragen geleert
audit-request_link_made = Anfragelink angelegt
audit-request_link_revoked = Anfragelink widerrufen
audit-reset_asked = Zurücksetzen per Mail erbeten
audit-reset_made = Zurücksetzen ausgehändigt
audit-second_factor_off = zweiter Faktor abgeschaltet
audit-second_factor_set = zweiter Faktor eingerichtet
audit-service_file_taken_in = Servicedatei eingelesen
audit-service_file_taken_out = Servicedatei ausgegeben
audit-service_started = Service begonnen
audit-service_started_from_the_last = Service aus dem letzten begonnen
audit-sign_in_failed = Anmeldung gescheitert
audit-signed_in = angemeldet
audit-signed_out = abgemeldet
audit-signed_out_everywhere = überall abgemeldet
audit-strand_tests_taken_in = Strähnentests eingelesen
audit-studio_begun = Studio begonnen
audit-studio_changed = Studio geändert
audit-trail_taken_out = Prüfprotokoll ausgegeben
audit-shelf_brought_in = Regal eingelesen
audit-shelf_taken_out = Regal ausgegeben
audit-toner_added = Toner hinzugefügt
audit-toner_changed = Toner geändert
audit-toner_removed = Toner entfernt
audit-visit_cancelled = Besuch abgesagt
audit-visit_moved = Besuch verschoben

## Mail to members

mail-invited = { $by } lädt Sie ein, bei { $studio } in Fervens mitzuarbeiten.

    Legen Sie hier binnen { WHOLE($days) } Tagen Ihr Konto an; die Adresse gilt einmal:
    { $address }
    .title = Ein Platz bei { $studio  }
mail-reset = Guten Tag { $name },

    jemand hat ein neues Passwort für Ihr Konto in Fervens erbeten. Setzen Sie es hier, binnen eines Tages:
    { $address }

    Waren Sie das nicht, so hat sich nichts geändert und Sie müssen nichts tun.
    .title = Ein neues Passwort
mail-password_changed = Guten Tag { $name },

    Ihr Passwort in Fervens wurde soeben geändert, andere Geräte wurden abgemeldet.
    Waren Sie das nicht, bitten Sie sofort die Studioleitung um ein neues.
    .title = Ihr Passwort wurde geändert

## The log

caution_name-scalp_broken = Kopfhaut verletzt
caution_name-elasticity = Elastizität
caution_name-metallic_salts = Metallsalze
caution_name-build_up = Rückstände
caution_name-scalp_sensitive = Kopfhaut empfindlich
caution_name-elasticity_slow = Elastizität langsam
caution_name-patch_test_open = Hauttest offen
caution_name-reaction_open = Reaktion offen
caution_name-allergies = Allergien
caution_name-medication = Medikamente
caution_name-under_16 = unter 16
caution_name-metallic_history = Metallsalze in der Vorgeschichte
caution_name-henna_untested = Henna ungeprüft
caution_name-unknown_untested = Unbekanntes ungeprüft
caution_name-henna = Henna
caution_name-elasticity_zone = Elastizität einer Zone
caution_name-breakage = Haarbruch
caution_name-frail = angegriffen
caution_name-direct_dye = Direktzieher
caution_name-delicate = fein
caution_name-frail_toned = angegriffenes Haar getönt
caution_name-lightened = blondiert
caution_name-white_in_one = Weiß in einem
caution_name-long_regrowth = langer Nachwuchs
caution_name-no_strand_test = kein Strähnentest
caution_name-toning_use = Anwendung des Toners
caution_name-professional_use = fachliche Anwendung
event-ConsultationFinished = Beratung abgeschlossen
event-ReviewFinished = Durchsicht abgeschlossen
event-ServiceClosed = Abgelegt
event-ApplicationFinished = { $zone  }: fertig aufgetragen
event-Rinsed = { $zone  }: ausgespült
event-wiped = { $zone  }: ausgewischt oder getrocknet
event-HeatStarted = { $zone  }: Wärme an
event-HeatEnded = { $zone  }: Wärme weg
event-BarrierLeft = { $zone  }: als Barriere gelassen
event-DriedOut = { $zone  }: getrocknet
event-acknowledged = Bestätigt: { $caution  }
event-plan_taken = Plan an den Platz genommen, { WHOLE($zones) } Zonen
event-bowl = Schale für { $zone  }: { WEIGHT($grams) }, { PLAIN($volume) } Vol
event-bowl_is_on = { $bowl  }; Auftrag begonnen
event-started_after = { $before  }: fertig aufgetragen; { $then  }
event-started = { $zone  }: Auftrag begonnen, { PLAIN($volume) } Vol
event-reading = { $zone }: { $said } ({ $how })
event-read = { LEVEL($level) } abgelesen
event-read_first = erste Folien { LEVEL($level) } abgelesen
event-not_lightened = nicht blondiert
event-warmer = wärmer
event-cooler = kühler
event-rest = Rest { $hue  }
event-reader = Farbmessgerät
event-named_reader = Farbmessgerät { $name  }
event-rinsed_together = Zusammen ausgespült: { $zones  }
event-refreshed = { $zone  }: neues Produkt, { PLAIN($volume) } Vol
event-dragged = { $zone  }: Produkt von { $source  } gezogen
event-covering = { $zone  }: jetzt { $covering  }
event-noted = { $zone }: { $said }
event-hair_returns = dehnt sich und geht zurück
event-hair_slow = geht langsam zurück
event-hair_stays_stretched = bleibt gedehnt
event-hair_snaps = reißt
event-scalp_fine = Kopfhaut ist in Ordnung
event-scalp_warm = Kopfhaut fühlt sich warm an
event-scalp_burns = Kopfhaut brennt
event-developer = { $zone  }: stattdessen { PLAIN($volume) } Vol
event-again = Noch einmal blondiert: { $zones  }
event-zone_volume = { $zone  } { PLAIN($volume) } Vol
event-wish = Gewünscht: { $tone  } bei { LEVEL($level) }
event-wish_measured = Gewünscht: eine gemessene Farbe bei { LEVEL($level) }
event-no_shadow = Kein Schattenansatz
event-shadow = Schattenansatz bei { LEVEL($level) }, { LENGTH($length) }, über { LENGTH($blend) } verblendet
event-probe = { $zone  }: violettes Shampoo griff { $grab  }
event-two_shades = { $first } + { $second } { WHOLE($parts) }:{ WHOLE($rest) }
event-toner_applied = { $zone  }: Toner { $formula  } drauf, { PLAIN($minutes) } min
event-tone_bowl = Toner { $formula  } drauf: { $zones  }
event-toners_emulsified = Toner emulgiert: { $zones  }
event-toners_rinsed = Toner ausgespült: { $zones  }
event-own_formula = Eigene Rezeptur für { $zones  }
event-as_proposed = Wieder die vorgeschlagene Rezeptur für { $zones  }
event-wish_for = { $wish  }, für { $zones  }
event-toner_emulsified = { $zone  }: Toner emulgiert
event-toner_strand = { $zone  }: eine Strähne ausgespült, { PERCENT($share) } des Farbstoffs
event-toner_pulled_back = { $zone  }: Toner wieder darübergezogen, insgesamt { PLAIN($minutes) } min
event-toner_rinsed = { $zone  }: Toner ausgespült
version-taken = an den Platz genommen

## Day and client

day-read_head = Kopf ablesen
day-finish = Beratung abschließen
day-clarify = Erst reinigen
day-not_today = Heute nicht blondieren
day-strands = Strähnen testen
day-plan = Planen
day-chair = Am Platz
day-review = Ablesen und durchsehen
day-tone = Tönen
day-toner_on = Toner auf { WHOLE($on) } von { WHOLE($of) } Zonen
day-filed = Abgelegt
source-request = Anfrage
source-last_time = letztes Mal
history-patch_not_done = Hauttest: angelegt, nicht abgelesen
history-patch_negative = Hauttest: in Ordnung
history-patch_positive = Hauttest: reagiert
history-strands = { WHOLE($count) } { $count ->
        [1] Strähne
       *[other] Strähnen
    } getestet, bis Tonhöhe { LEVEL($best) }
hair_kind = { $history  }, { $thickness  }, Porosität { $porosity  }
request-form = Anfrageformular
request-photo = von der Kundin oder dem Kunden geschickt
request-notes = Besuch gewünscht am { DAY($on) }. Erreichbar: { $reach }.
    Angegeben: { $past }
request-not_given = nicht angegeben
request-nothing = nichts
calendar-name = Besuch
calendar-visit = Farbe: { $client  }

## The card, on paper

min = { WHOLE($minutes) } min
g = { WEIGHT($grams) }
card-title = Servicekarte, { $client  }
card-foot = { $client }, { DAY($on) }
card-head = { DAY($on) }, { $at }, { $filed }. { $lightener }.
card-filed = abgelegt { $at  }
card-not_filed = noch nicht abgelegt
card-no_lightener = keine Blondierung
card-wish = Wunsch: { $wish  } ({ $tone  })
card-walls = Über die Etikettzeit: { $lanes  }.
card-lightening = Blondierung
card-strands = Strähnentests
card-level = von { LEVEL($level) }
card-strand_reading = { PLAIN($minute) } min: { LEVEL($level) }
card-bowls = Schalen
card-toner = Toner
card-readings = Ablesungen
card-cautions = Bestätigte Hinweise
card-keep = Was zu behalten ist
card_head-zone = Zone
card_head-formula = Rezeptur
card_head-on = Drauf
card_head-rinsed = Aus
card_head-planned = Geplant
card_head-ran = Verlauf
card_head-levels = Von, auf, gewünscht
card_head-mixed = Gemischt
card_head-strength = Stärke
card_head-lightener = Blondierung
card_head-developer = Entwickler
card_head-recipe = Mischung
card_head-grams = Gramm
card_head-strand = Strähne
card_head-readings = Ablesungen
card_head-painted = Im Zeitverlauf
card-level_alone = { LEVEL($level) }
card-numbered = { WHOLE($number) }  { $lane }
card-clocks = { $on } bis { $rinsed }, { $ran } (geplant { $planned })
trolley-title = Wagenblatt, { $client }
trolley-head = { DAY($on) }. { $lightener }, Etikett { WHOLE($label) } min. { WHOLE($chair) } min im Stuhl.
trolley-minutes = Minuten zählen ab dem ersten Produkt auf dem Haar. Der Balken ist die Etikettzeit.
trolley-order = In der Reihenfolge der Hände
trolley-mixing = Mischliste
trolley-cut = Streifen für die Schalen: ausschneiden und aufkleben
trolley-bowl = Schale { WHOLE($number) }, { PLAIN($volume) } Vol
trolley-mixed_at = gemischt um ____:____ , { WHOLE($life) } min gut
trolley_head-rinse = Spülen
trolley_head-minute = Minute
trolley_head-for = Für
trolley_head-makes = Ergibt
card-pour = { WEIGHT($grams) } { PLAIN($volume) } Vol
card-of = { WEIGHT($grams) } { $name }
card-formula = { PLAIN($volume) } Vol{ $applications ->
        [0] {""}
        [1] {""}
       *[other] , { WHOLE($applications) } Aufträge
    }
card-levels = { LEVEL($before) } → { TENTHS($level) } ({ LEVEL($target) })
card-levels_open = { LEVEL($before) } →  ({ LEVEL($target) })
card-still_on = noch drauf
card-toner_grams = { WEIGHT($product) } + { WEIGHT($developer) }
card-difference = Unterschied zu den Wünschen { TENTHS($difference) } (CIEDE2000, Mittel).
card-tone_bowl = { $at  }: { $formula  }, { WEIGHT_TENTHS($product) } + { WEIGHT_TENTHS($developer) }, in dieser Reihenfolge drauf: { $zones  }; ausgespült { $rinses  }.
card-reading = { $lane } { LEVEL($level) } ({ $mode })
card-reading_at = { $lane  } { LEVEL($level) } bei { WHOLE($minute) } min ({ $mode  })
card-readings_listed = { $readings }.
card-caution = { CAPITAL($caution) }: { $by }, { $at }
card-worked = Gut war: { $said  }
card-change = Nächstes Mal ändern: { $said  }
card-nothing_noted = nichts notiert
card-added = Ergänzt am { DAY($on) } von { $by  }: { $said  }
card-contact = Längster Kontakt { WHOLE($minutes) } min.
card-contact_and_cost = Längster Kontakt { WHOLE($minutes) } min, Produkt { HUNDREDTHS($cost) } { $currency  }.
card-professional_use = Fachliche Anwendung. Etikett, Sicherheitsdatenblatt, örtliches Recht und Zulassung gehen vor; wo sie von dieser Karte abweichen, gelten sie.
handout-title = Für zu Hause
handout-again = Unser Vorschlag für das nächste Mal
handout-on_or_about = Am oder um den { DAY($on) }.
camera_card-title = Karte zum Ablesen mit der Kamera
camera_card-note_1 = In wahrer Größe (100 %), matt, ohne Farbmanagement drucken. Eine Stunde trocknen lassen.
camera_card-note_2 = Die abgewischte Strähne flach über das ganze Fenster legen. Ganze Karte im Bild, gleichmäßiges Licht, kein Blitz.
camera_card-note_3 = Das Fenster ausschneiden, oder die Strähne darauflegen.
eye-reads = { $mode  }: { $way ->
        [true] liest richtig
        [light] liest { TENTHS($levels) } Stufen zu hell
       *[dark] liest { TENTHS($levels) } Stufen zu dunkel
    }; { WHOLE($pairs) } { $pairs ->
        [1] Paar
       *[other] Paare
    }

## Practice

event-FoilOpened = { $zone  }: zum Ansehen geöffnet
event-asked = Herausgefunden: { $topic  }
event-mishap = Erledigt: { $mishap  }
event-mishap_left = Gelassen: { $mishap  }
home_care-violet_shampoo = ein violettes Shampoo
home_care-ash_shampoo = ein Aschshampoo
home_care-minerals = hartes Wasser
home_care-heat_tools = heiße Eisen
topic-reactions = Reaktionen auf Farbe
topic-history = was früher gemacht wurde
topic-home_care = was zu Hause benutzt wird
topic-scalp = wie die Kopfhaut ist
topic-stretch = wie sich eine nasse Strähne dehnt
topic-salts = ein Salztest
practice_zone = Zone { WHOLE($number) }
practice_pieces = Partien
practice_head-first = Drei Zonen
    .about = Drei gleichmäßige Zonen, 6 auf 8. Zum Kennenlernen der Tafel.
practice_head-six = Sechs gleichmäßige Zonen
    .about = Mittelbraun überall, 5 auf 8.5, sechs Zonen in Folie.
practice_head-light = Fast da
    .about = Tonhöhe 7 auf 9.5: es geht schnell, und die letzte Stufe dauert so lang wie die zwei davor.
practice_head-hairline = Feiner Haaransatz
    .about = Ein mittlerer Kopf, 5 auf 8.5, mit feinem Haar an Nacken, Pony und Schläfen.
practice_head-band = Ein Band in den Längen
    .about = 7 auf 9, mit einem dunkleren Band, wo eine alte Färbung endete.
practice_head-coarse = Dick und dunkel
    .about = Tonhöhe 3 auf 7.5, dick, nimmt Produkt langsam auf.
practice_head-ends = Alte Spitzen
    .about = 5 auf 9, mit porösen Spitzen bei 7.5, die schon blondiert waren.
practice_head-tint = „Nie gefärbt“
    .about = 4 auf Kupfer 7. Auf der Karte steht naturbelassen.
practice_head-painted = Frei gemalt
    .about = Die Front an der Luft gemalt, 6 auf 8: sie kühlt und trocknet.
practice_head-stuck = Bei Orange hängengeblieben
    .about = 4 auf 8, und nicht jede Zone will dorthin.
practice_head-evening = Bei Lampenlicht
    .about = 6 auf 9 unter gelber Lampe, wo alles heller und wärmer aussieht.
practice_head-whole = Der ganze Kopf
    .about = Zwölf Zonen, 5 auf eisige 9, feiner Haaransatz, ein Paar Hände.
practice_head-random = Ein Kopf aus einer Startzahl
    .about = Aus der Startzahl gezogen, für alle mit dieser Zahl derselbe.
practice_head-past = Ein früherer Kopf
    .about = Einer der eigenen Köpfe des Studios, wie er geplant war, ohne Namen.
practice_answer-reactions = „Vor zwei Jahren bekam ich nach einer Farbe Ausschlag auf der Kopfhaut. Es hat eine Woche gejuckt.“
practice_answer-reactions_none = „Nein, von einer Farbe hatte ich nie etwas.“
practice_answer-history = „Na ja, ein Braun aus der Packung, zu Hause. Zweimal, im Frühjahr.“
practice_answer-history_none = „Gar nichts außer dem, was auf Ihrer Karte steht.“
practice_answer-home_care = „Ich benutze { $uses  }.“
practice_answer-home_care_none = „Nur ein einfaches Shampoo.“
practice_answer-scalp = Sie ist stellenweise empfindlich, aber nichts ist verletzt.
practice_answer-scalp_none = Sie ist gesund.
practice_answer-stretch = Sie dehnt sich und geht langsam zurück.
practice_answer-stretch_none = Sie dehnt sich um ein Drittel und geht zurück.
practice_answer-salts = Die Strähne wird binnen einer Minute warm, kleine Blasen steigen auf.
practice_answer-salts_none = Nach einer halben Stunde ist mit der Strähne nichts geschehen.
mishaps-stale = eine alte Schale
mishaps-slipped = eine verrutschte Folie
mishaps-dried = getrocknetes Produkt
mishaps-burns = brennende Kopfhaut
mishaps-phone = das Telefon
mishaps-shampoo = ein violettes Shampoo
mishap-stale = Die Schale für { $lane  } ist dick geworden: sie ist alt.
mishap-slipped = Diese Folie war verrutscht und lag offen. Jetzt ist sie wieder zu.
mishap-dried = Das Produkt hier ist trocken: es steht still.
mishap-burns = „Es brennt!“ { $lane  }.
mishap-phone = Das Telefon klingelt. Abnehmen kostet { WHOLE($minutes) } Minuten.
mishap-shampoo = „Hätte ich sagen sollen: ich wasche mit violettem Shampoo, gestern auch.“
debrief_worked-all_on_target = { $count ->
        [one] Die Bahn endete innerhalb einer halben Stufe vom Ziel.
       *[other] Alle { WHOLE($count) } Bahnen endeten innerhalb einer halben Stufe vom Ziel.
    }
debrief_worked-most_on_target = { WHOLE($count) } von { WHOLE($of) } Bahnen endeten innerhalb einer halben Stufe vom Ziel.
debrief_worked-some_on_target = { $count ->
        [one] Eine von { WHOLE($of) } Bahnen endete innerhalb einer halben Stufe vom Ziel.
       *[other] { WHOLE($count) } von { WHOLE($of) } Bahnen endeten innerhalb einer halben Stufe vom Ziel.
    }
debrief_worked-walls = Kein Produkt blieb über die Etikettzeit.
debrief_worked-looks = { WHOLE($count) } Blicke, und kaum einer, bevor er etwas sagen konnte.
debrief_worked-eye = Ihre { WHOLE($count) } Ablesungen stimmten: keine nennenswerte Abweichung.
debrief_worked-time = Von der ersten Passée bis zum letzten Ausspülen { WHOLE($minutes) } min, nicht länger als der Rat der Tafel.
debrief_worked-burn = Es brannte und war nach { TENTHS($minutes) } min ausgespült.
debrief_worked-tone = Jeder getönte Teil ist nah an seinem Wunsch.
debrief_worked-asked_reactions = Sie haben nach Reaktionen gefragt und sich an das Erlaubte gehalten.
debrief_worked-asked_history = Sie haben nach früher gefragt: die Karte kannte die alte Färbung nicht.
debrief_worked-strand = Sie haben zuerst einen Strähnentest gelesen.
debrief_worked-declined = Der Salztest war positiv und Sie haben nicht blondiert. Das war die ganze Aufgabe.
debrief_change-salts = Auf diesem Haar waren Metallsalze, und Blondierung kam drauf. Bei unbekannter Vorgeschichte auf Salze prüfen.
debrief_change-reacted = Diese Person reagiert auf oxidative Farbe, und oxidativer Toner kam drauf. Nach Reaktionen fragen und die Antwort aufschreiben.
debrief_change-never_asked = Diese Person reagiert auf oxidative Farbe, und Sie haben nie gefragt. Alle fragen, jedes Mal.
debrief_change-burn = Es brannte über drei Minuten, bevor ausgespült wurde. Sofort ausspülen, gleich bei welcher Tonhöhe.
debrief_change-passed_wall = { $count ->
        [one] { $lane } blieb über die Etikettzeit.
       *[other] { WHOLE($count) } Bahnen blieben über die Etikettzeit, darunter { $lane }.
    } An der Grenze ausspülen, gleich bei welcher Tonhöhe.
debrief_change-unread = Sie haben { WHOLE($count) } von { WHOLE($of) } Bahnen ohne einen Blick ausgespült. Jede vor dem Ausspülen einmal öffnen.
debrief_change-eye_light = Sie haben über { WHOLE($count) } Blicke etwa { TENTHS($levels) } Stufen zu hell gelesen ({ $mode  }). Die Strähne zuerst neben das dunklere Muster halten.
debrief_change-eye_dark = Sie haben über { WHOLE($count) } Blicke etwa { TENTHS($levels) } Stufen zu dunkel gelesen ({ $mode  }). Die Strähne zuerst neben das hellere Muster halten.
debrief_change-too_long = { $lane } ging { TENTHS($levels) } Stufen über das Ziel. Früher ausspülen.
debrief_change-too_soon = { $lane } wurde { TENTHS($levels) } Stufen zu früh ausgespült, und es war noch Zeit. Länger lassen.
debrief_change-planned_short = { $lane } konnte mit diesem Plan nicht näher als { TENTHS($levels) } Stufen kommen. Mit mehr Minuten, stärkerer Schale oder weiterem Besuch planen.
debrief_change-too_many_looks = { WHOLE($count) } Blicke, wo { WHOLE($fewer) } gereicht hätten. Jedes Öffnen kostet Wärme und eine Hand.
debrief_change-late = { $lane } wurde { WHOLE($minutes) } min nach der Zeit ausgespült.
debrief_change-slow = Das letzte Ausspülen kam { WHOLE($minutes) } min später, als es der Rat der Tafel gehabt hätte.
debrief_change-slipped = Eine Folie verrutschte, und niemand sah es vor dem Ausspülen. Ab und zu alle Folien ansehen.
debrief_change-dried = Produkt trocknete, und niemand sah es. Was trocken ist, steht still: auffrischen oder ausspülen.
debrief_change-stale = Eine Schale wurde verbraucht, nachdem sie alt war. Eine frische anmischen.
debrief_change-history = Auf der Karte stand naturbelassen, und niemand fragte. Es war eine alte Färbung darin.
debrief_change-tone = Der Ton auf { $lane  } ist weit vom Wunsch. Tonhöhe und Wärme vor dem Mischen noch einmal ablesen.
debrief_change-not_started = Noch wurde nichts aufgetragen: weitermachen und wieder ansehen.
debrief_change-harder = Nichts von Gewicht. Ein schwierigerer Kopf, oder derselbe mit weniger Hilfe.

## The command line

cli-min = min
cli-level = Höhe
cli-colour = Farbe
cli-undertone = Untergrund: { $undertone }. Verbleibendes Chroma, das beste zuerst:
cli-plan = { $aim }: letztes Ausspülen { WHOLE($last) } min nach dem ersten Produkt, { WHOLE($chair) } min am Platz, { $strengths } Vol, { WHOLE($bowls) } Schalen.
cli-aim_simple = Einfach
cli-aim_gentle = Sanft
cli-aim_even = Gleichmäßig
cli-aim_quick = Schnell
cli-no_strength = keine
cli-left_out = { $lane }: ausgelassen. { $why }
cli-again = Eine zweite Runde, wo das Etikett sie erlaubt:
cli-mixing_list = Mischliste:
cli-pour = { WEIGHT_TENTHS($grams) } mit { PLAIN($volume) } Vol
cli-bowl = { WHOLE($at) } min: { WEIGHT_TENTHS($grams) } { $lightener }, { $pours }, für { $lanes }
cli-visit = Gang { WHOLE($number) } zum Becken bei { WHOLE($at) } min:
cli-lane = { $lane }: { PLAIN($volume) } Vol, Auftrag { WHOLE($start) }-{ WHOLE($end) }, fertig { $early }/{ $likely }/{ $late }, { $ending ->
        [wiped] ausgewischt
        [dried] getrocknet
       *[rinsed] ausgespült
    } { WHOLE($rinse) }, Grenze { WHOLE($wall) } min, Tonhöhe { TENTHS($level) }
cli-never = nie
cli-tone_bowl = Schale { WHOLE($number) }: { WEIGHT_TENTHS($grams) } { $shades }, { $mixed }
cli-neat = pur
cli-tone_part = { $part }: Schale { WHOLE($bowl) }, drauf { WHOLE($on) }, aus { WHOLE($off) } min, { TENTHS($difference) } zum Wunsch
cli-learnt = { $lane }: { HUNDREDTHS($extent) } so weit, { HUNDREDTHS($rate) } so schnell, fertig { $early } bis { $late } min{ $odd ->
        [misfit] ; Ablesungen passen nicht
        [stray] ; wie kein Haar seiner Art
       *[none] {""}
    }
cli-help_fervens = Aufhellung, Farbe und Plan von der Kommandozeile.
cli-help_curve = Tonhöhe und Farbe in der Zeit
cli-help_neutralise = Farbstofffamilien nach der Farbe, die sie lassen
cli-help_plan = der Plan einer Servicedatei
cli-help_tone = der Toner für die Ergebnisse einer Servicedatei
cli-help_advise = was der Platz zu einer Minute einer Servicedatei rät
cli-help_learn = was Ablesungen und Strähnen einer Servicedatei lehrten
cli-help_batch = JSON-Anfragen auf der Standardeingabe, je Zeile eine, je Zeile beantwortet
cli-help_reader = ein simuliertes Farbmessgerät auf Loopback
cli-help_aim = simple, gentle, even oder quick; sonst das der Datei
cli-help_json = JSON ausgeben

## Words of a typed line, parted by bars; all that this page calls a thing is one of them

shorthand-word_all = alle|alles|ganzer kopf|kopf
shorthand-word_but = außer|ohne|nicht
shorthand-word_left = links|linke
shorthand-word_right = rechts|rechte
shorthand-word_want = wunsch|gewünscht|ziel|auf|will
shorthand-word_keep = lassen|auslassen|behalten|bleibt|kein produkt
shorthand-word_mm = mm
shorthand-word_and = und|+|&|bei|ist|sind|die|der|von
shorthand-word_level = tonhöhe|höhe|stufe
shorthand-part_lengths = längen|länge|mitten
shorthand-part_regrowth = nachwuchs
shorthand-part_root = ansatz|ansätze
shorthand-part_band = band|bänder
shorthand-part_ends = spitzen|spitze
shorthand-history_virgin = naturbelassen|natur|unbehandelt
shorthand-history_tinted = gefärbt|farbe|färbung
shorthand-history_lightened = blondiert|aufgehellt|gesträhnt
shorthand-history_direct_dye = direktzieher|alte farbe
shorthand-history_henna = henna
shorthand-history_metallic = metallsalze|salze
shorthand-history_unknown = unbekannt
shorthand-porosity_low = resistent|nicht porös
shorthand-porosity_normal = normale porosität
shorthand-porosity_high = porös|sehr porös
