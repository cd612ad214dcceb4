# Français, comme le disent les coloristes. The same messages as in en.ftl, which says what each function does.

## Words of the trade

undertone-deep_red_brown = brun-rouge foncé
undertone-red_brown = brun-rouge
undertone-red = rouge
undertone-red_orange = rouge-orange
undertone-orange = orange
undertone-yellow_orange = jaune-orange
undertone-yellow = jaune
undertone-pale_yellow = jaune pâle
undertone-palest_yellow = jaune très pâle
dye_family-yellow = jaune
dye_family-orange = orange
dye_family-red = rouge
dye_family-violet = violet
dye_family-blue = bleu
dye_family-green = vert
dye_hue-red = rouge
dye_hue-pink = rose
dye_hue-orange = orange
dye_hue-yellow = jaune
dye_hue-green = vert
dye_hue-blue = bleu
dye_hue-violet = violet
covering-open_air = air libre
covering-foil = papier
covering-film = film
history-virgin = naturel
history-tinted = coloré
history-lightened = décoloré
history-direct_dye = colorant direct
history-henna = henné
history-metallic = sels métalliques
history-unknown = inconnu
tone-icy = glacé
tone-cool = froid
tone-neutral = neutre
tone-beige = beige
tone-warm = chaud
tone-gold = doré
tone-copper = cuivré
tone-red_brown = brun-rouge
tone-rose = rosé
tone-silver = argent
tone-pearl = nacré
tone-pastel = pastel
thickness-fine = fin
thickness-medium = moyen
thickness-coarse = épais
porosity-low = faible
porosity-normal = normale
porosity-high = forte
pastel-rose = rose pastel
pastel-peach = pêche
pastel-mint = menthe
pastel-sky = ciel
pastel-lilac = lilas
elasticity-returns = revient
elasticity-slow = lent
elasticity-stays_stretched = reste étiré
elasticity-snaps = casse
reading_mode-through_product = à travers le produit
reading_mode-wiped = essuyé
reading_mode-rinsed_wet = rincé mouillé
reading_mode-dry = sec
grab-little = peu
grab-even = régulier
grab-much = beaucoup
hue-grey = gris
hue-pink = rose
hue-red_warm = chaud rougeâtre
hue-orange_warm = chaud orangé
hue-golden = doré
hue-yellow = jaune
hue-khaki_warm = chaud kaki
hue-green = vert
hue-blue = bleu
hue-violet = violet
hue-faint = légèrement { $hue  }
counter-red_or_pink = rouge ou rose
counter-two = { $first }-{ $second }
head-low_back = Bas arrière
head-high_back = Haut arrière
head-left_back = Arrière gauche
head-right_back = Arrière droit
head-crown = Vertex
head-left_side = Côté gauche
head-right_side = Côté droit
head-top = Dessus
head-nape = Nuque
head-fringe = Frange
head-left_temple = Tempe gauche
head-right_temple = Tempe droite
part-lengths = longueurs
part-regrowth = repousse
part-root = racine
part-ends = pointes
part-band = bande
span-minutes = { $minutes } min
span-hours = { $hours } h
span-both = { $hours } h { $minutes }
vol = { PLAIN($volume) } vol
lane-part = { $zone } { $part }
lane-part_at = { $zone  } { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane_part-at = { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane-piece = { $lane }, { $piece }
lane-again = { $lane  } encore
lane-shadow = { $lane  }, racine ombrée
lane-because = { $lane }: { $why }
lanes = { $lanes }
lanes-more = { $lanes  } et { WHOLE($more) } autres

## Cautions: a title, and what to do

caution = { $title }. { $advice }
caution-scalp_broken = Cuir chevelu lésé, irrité ou brûlé par le soleil
    .advice = Ne pas décolorer. Reprendre rendez-vous une fois guéri.
caution-elasticity = { $elasticity ->
        [snaps] Une mèche mouillée casse
       *[stays_stretched] Une mèche mouillée reste étirée
    }
    .advice = Ne pas décolorer. D'abord soin et coupe, puis nouveau test.
caution-metallic_salts = Le test des sels est positif
    .advice = Ne pas décolorer : les sels métalliques réagissent violemment au peroxyde. Le cheveu doit repousser.
caution-build_up = Dépôts de produits à domicile
    .advice = Clarifier d'abord : laver les dépôts, relire le cheveu et cocher.
caution-scalp_sensitive = Cuir chevelu sensible
    .advice = Rester loin du cuir chevelu ; arrêter à la première brûlure.
caution-elasticity_slow = Une mèche mouillée revient lentement
    .advice = Oxydant plus faible, temps plus court, test de mèche.
caution-patch_test_open = Aucun test cutané lu après { WHOLE($wait) } h
    .advice = Le toner d'oxydation reste verrouillé ; en prévoir un sans oxydation ou reporter la patine.
caution-reaction_open = Une allergie ou réaction est signalée sans avoir été précisée
    .advice = Demander : à la coloration d'oxydation ? Répondre oui ou non à côté ; d'ici là rien n'est planifié ni patiné.
caution-allergies = Allergies signalées
    .advice = « { $told  } » : vérifier chaque étiquette.
caution-medication = Médicaments signalés
    .advice = Certains médicaments modifient peau et cheveux : test de mèche, et un médecin en cas de doute.
caution-under_16 = Moins de { WHOLE($age) } ans
    .advice = La coloration d'oxydation n'est pas destinée aux moins de { WHOLE($age) } ans ; le droit local décide du reste.
caution-metallic_history = Sels métalliques dans l'historique du cheveu
    .advice = Ne pas décolorer. Le cheveu concerné doit repousser ou être coupé.
caution-henna_untested = Henné, sans test des sels
    .advice = Faire d'abord le test des sels sur une mèche coupée.
caution-unknown_untested = Historique inconnu, sans test des sels
    .advice = Faire d'abord le test des sels sur une mèche coupée.
caution-henna = Le henné s'éclaircit peu et inégalement
    .advice = Test de mèche d'abord ; promettre moins.
caution-elasticity_zone = Reste étiré ou casse : { $lanes  }
    .advice = Les laisser de côté, ou couper et soigner d'abord, puis retester.
caution-breakage = Cheveux qui cassent : { $lanes  }
    .advice = Les laisser de côté ; couper et soigner d'abord.
caution-frail = Pas tout à fait sain : { $lanes  }
    .advice = { WHOLE($most) } vol au plus ici, court, et regarder souvent.
caution-direct_dye = Ancien vert ou bleu : { $lanes  }
    .advice = 1,5 % seulement, plusieurs visites ; laisser les mèches brunes ; neutraliser un reste vert au rouge ou au rose.
caution-delicate = Cheveux délicats : { $lanes  }
    .advice = S'éclaircit vite et casse : { WHOLE($most) } vol au plus, plus tard, jamais tout le temps.
caution-frail_toned = Cheveux qui cassent ou restent étirés
    .advice = Soins pigmentés et oxydant le plus faible seulement ; soigner d'abord.
caution-lightened = Cheveux déjà décolorés
    .advice = Ne jamais chevaucher le cheveu déjà clair ; rester sur la repousse.
caution-white_in_one = Blanc à partir d'une hauteur sous { WHOLE($least) }
    .advice = Réaliste en une visite à partir de la hauteur { WHOLE($least) } ; convenir de deux visites ou d'une cible plus basse.
caution-long_regrowth = Repousse au-delà de { LENGTH($most) } : { $lanes  }
    .advice = Deux applications de racine prévues : d'abord loin du cuir chevelu, puis les { WHOLE($most) } derniers mm.
caution-old_ash = Reste violet ou bleu : { $lanes  }
    .advice = À extraire avant décoloration avec un reste de produit et du shampooing, ou un effaceur ; il cache la hauteur.
caution-uneven_ground = Deux sortes de cheveux vers une hauteur : { $zones  }
    .advice = Un cheveu méché éclairci partout reste inégal : le dire, ou donner à chaque sorte son souhait.
caution-curl = La boucle se relâche en s'éclaircissant : { $lanes  }
    .advice = Le dire ; peigner chaque section et remettre du produit là où il a été bu.
caution-grey = Du gris, { PERCENT($share) } : { $lanes  }
    .advice = Le gris reste plus clair : fondre le reste vers lui, l'attendre plus froid après le toner.
caution-piece_base = Garder propre la base du postiche
    .advice = Le produit sur nœuds, dentelle ou coutures traverse et fragilise : commencer loin de la base, à plat.
caution-fill_first = Plus de { WHOLE($most) } hauteurs plus foncé : { $lanes  }
    .advice = Prépigmenter d'abord au chaud, sinon cela vire vert et taché en quelques jours.
caution-no_strand_test = Pas de test de mèche
    .advice = Un cheveu déjà travaillé s'éclaircit à sa façon : tester une mèche cachée, le plan en apprend.
caution-professional_use = Étiquette, gants, air
    .advice = Suivre l'étiquette et la fiche de sécurité ; gants, air frais, incorporer la poudre sans poussière. Brûlure : eau fraîche aussitôt. Yeux : rincer 15 min et demander de l'aide.
caution-toning_use = Étiquette, gants, peau
    .advice = Suivre l'étiquette et la fiche du toner ; gants, crème barrière, pas de chaleur. Brûlure : eau fraîche aussitôt. Yeux : rincer 15 min et demander de l'aide.
toner_block-dye_reaction = A réagi à la coloration d'oxydation
    .advice = Shampooing et soin pigmentés seulement.
toner_block-under_16 = Moins de { WHOLE($age) } ans
    .advice = La coloration d'oxydation n'est pas destinée aux moins de { WHOLE($age) } ans.
toner_block-reaction_open = Une allergie ou réaction est signalée
    .advice = Demander si c'était la coloration d'oxydation et répondre au diagnostic ; d'ici là shampooing pigmenté seulement.
toner_block-patch_test = Test cutané non lu
    .advice = Le poser, le lire après { PLAIN($wait) } h, ou prendre une nuance sans oxydation.
toner_block-patch_test_old = Test cutané trop ancien
    .advice = En poser un nouveau et le lire après { PLAIN($wait) } h.
toner_block-patch_test_early = Test cutané de moins de { PLAIN($wait) } h
    .advice = Attendre, ou prendre une nuance sans oxydation.

## What sets how strong a developer may be

volume_limit-hair = { WHOLE($most) } vol est le maximum pour le cheveu
volume_limit-label = étiquette de { $product  }
volume_limit-scalp = sur le cuir chevelu, étiquette de { $product  }
volume_limit-delicate = cheveux délicats
volume_limit-lightened = cheveux déjà décolorés
volume_limit-porous = cheveux poreux
volume_limit-fine = cheveux fins
volume_limit-frail = cheveux pas tout à fait sains
volume_limit-old_dye = un ancien colorant direct se retire à 1,5 %
volume_limit-strongest_bottle = flacon le plus fort de l'étagère
volume_limit-gentle = l'objectif doux

## What may go on today

stop-scalp_burns = Le cuir chevelu brûle : rincer aussitôt à l'eau fraîche
stop-hair_gives = { $elasticity ->
        [snaps] Le cheveu casse : rincer aussitôt
       *[stays_stretched] Le cheveu reste étiré : rincer aussitôt
    }
heat_block-label = L'étiquette de { $product  } n'autorise pas la chaleur.
heat_block-scalp = Cette zone touche le cuir chevelu : pas de chaleur sur la peau.
refresh_block-label = L'étiquette de { $product  } autorise { $most ->
        [1] une application
       *[other] { WHOLE($most) } applications
    } par visite.
again_block-toned = déjà patiné
again_block-scalp_burns = le cuir chevelu brûle : rincer aussitôt à l'eau fraîche
again_block-hair_gives = { $elasticity ->
        [snaps] le cheveu casse : rincer aussitôt
       *[stays_stretched] le cheveu reste étiré : rincer aussitôt
    }
again_block-elasticity = le cheveu étiré ne revient pas simplement
again_block-scalp = le cuir chevelu s'est fait sentir
again_block-twice = déjà décoloré deux fois aujourd'hui
again_block-contact = { WHOLE($minutes) } min de produit aujourd'hui ; au-delà de { WHOLE($most) } min on le laisse en paix
again_block-label = l'étiquette de { $product  } autorise { $most ->
        [1] une application
       *[other] { WHOLE($most) } applications
    } par visite
again_block-no_gain = aucun oxydant n'apporterait assez dans ses limites
again_block-little_gain = cela n'irait qu'à { TENTHS($end) }

## The strand bench

head_move-as_expected = Cette tête s'éclaircit comme prévu
head_move-moved = Cette tête s'éclaircit { $ways  } que prévu
head_move-far_more = { WHOLE($percent) } % plus loin
head_move-far_less = { WHOLE($percent) } % moins loin
head_move-fast_more = { WHOLE($percent) } % plus vite
head_move-fast_less = { WHOLE($percent) } % plus lentement

## The verdict

verdict_title-unread = Lire la tête
verdict_title-today = Aujourd'hui
verdict_title-tone = Patiner aujourd'hui
verdict_title-deepen = Foncer aujourd'hui
verdict_title-strand_test = Tester des mèches aujourd'hui
verdict_title-clarify = Clarifier d'abord
verdict_title-not_today = Pas aujourd'hui
verdict_title-never = Pas en six visites
verdict_title-more_time = Plus de temps, ou deux visites
verdict_title-visits = En { WHOLE($visits) } visites
verdict-undertone = { $zone  } : lu { LEVEL($read) }, mais { $seen  } est ce que montre un { WHOLE($nearest) } : relire à sec.
verdict-stays = { $lane  }, { LEVEL($start) } vers { LEVEL($target) } : reste près de { TENTHS($level) } après { WHOLE($visits) } visites. Baisser le souhait.
verdict-more_visits = { $lane  }, { LEVEL($start) } vers { LEVEL($target) } : promettre { TENTHS($sure) } aujourd'hui ({ TENTHS($level) } probable), le souhait à la visite { WHOLE($visit) }.
verdict-two_rounds = Deux tours aujourd'hui, si l'étiquette l'autorise : { $lanes  } encore une fois après rinçage, vers { TENTHS($level) }.
verdict-every_zone = Chaque zone atteint sa hauteur aujourd'hui, dans le temps de l'étiquette.
verdict-unsure = { $lane  } : promettre { TENTHS($sure) }, espérer { TENTHS($likely) }. Un test de mèche précise.
verdict-time = Environ { SPAN($needed) } au fauteuil.
verdict-time_long = Environ { SPAN($needed) } au fauteuil : une longue journée pour les deux. Moins de zones, deux visites ou une seconde paire de mains.
verdict-time_within = Environ { SPAN($needed) } au fauteuil ; { $of ->
        [booked] { SPAN($limit) } réservées
       *[has] { SPAN($limit) } disponibles
    }.
verdict-time_over = Environ { SPAN($needed) } au fauteuil, { $of ->
        [booked] { SPAN($limit) } réservées
       *[has] { SPAN($limit) } disponibles
    } : moins de zones, plus de temps, ou deux visites.
verdict-no_patch_test = Pas de test cutané clair : seulement un toner sans oxydation aujourd'hui.
verdict-empty_shelf = L'étagère n'a pas de décolorant ou pas d'oxydant : rien ne peut être planifié.
verdict-tone_parts = { $parts ->
        [1] Une partie va
       *[other] { WHOLE($parts) } parties vont
    } au bac telles que lues ; rien n'est décoloré.
verdict-deeper = { $lanes  } : { LEVEL($levels) } hauteurs plus foncé au plus, loin du cuir chevelu si possible.
verdict-nothing_deeper = Rien n'est voulu plus foncé : fixer une hauteur plus basse pour une zone ou une partie.
verdict-strand_test = { $strands ->
        [one] Une mèche indiquée
       *[other] { WHOLE($strands) } mèches indiquées
    } : les préparer au banc des mèches, chacune avec son oxydant ; rien d'autre n'est décoloré.
verdict-old_dye = L'ancien vert ou bleu part en plusieurs visites : { $lanes  }. Ce qui reste aujourd'hui se corrige avec un peu de rouge ou de rose.
verdict-nothing_to_lift = Aucune zone à éclaircir : fixer une hauteur plus claire ou passer à la patine.
reach-all = toutes vers { LEVEL($level) }
reach-lanes = { $lanes  } vers { LEVEL($level) }
reach-many = { WHOLE($count) } zones vers { LEVEL($level) }
chair_time-consultation = diagnostic et mélange
chair_time-applying = application
chair_time-between = passages au bac entre-temps
chair_time-again = un second tour
chair_time-processing = pose et changements de zone
chair_time-rinse = dernier rinçage
chair_time-tone = patine
chair_time-care = soin
chair_time-drying = séchage

## The plan

order-coarse = cheveux épais résistants : d'abord
order-low_porosity = faible porosité résistante : d'abord
order-history = cheveu ({ $history  }) résistant : d'abord
order-delicate = délicat : en dernier et plus faible
order-usual = dans l'ordre usuel, de l'arrière à l'avant
order-cools = refroidit à l'air : d'abord
kept-at_level = reste tel quel, à { LEVEL($level) }
kept-left_out = laissé de côté, sans produit
kept-deeper = à foncer, vers { LEVEL($level) }, au toner
plan-meeting = { $meeting ->
        [soft] La ligne est douce : estomper le bord et regarder la jonction toutes les 10 à 15 min.
       *[jagged] La ligne est irrégulière : rester en deçà, la suivre cheveu par cheveu et regarder toutes les 10 à 15 min.
    }
plan-two_root_lanes = { LENGTH($regrowth) } de repousse feraient une bande en une application au-delà de { LENGTH($most) } : d'abord loin du cuir chevelu, puis les derniers { LENGTH($most) }.
aim_why-simple = { $strengths  } vol, { $bowls ->
        [one] un bol
       *[other] { WHOLE($bowls) } bols
    }.
aim_why-simple_beside = { $strengths  } vol partout ; { $other  } gagnerait { WHOLE($minutes) } min.
aim_why-gentle = { PERCENT($share) } de contact en moins que simple.
aim_why-even = Toutes à { TENTHS($levels) } près de leur souhait entre elles, { TENTHS($other) } en simple.
aim_why-quick = { WHOLE($minutes) } min plus tôt que simple.
plan-held = { PLAIN($asked) } vol demandés, retenu à { PLAIN($volume) } ({ $limit  }).
plan-raised = { PLAIN($asked) } vol demandés, relevé à { PLAIN($volume) } (flacon le plus faible).
plan_short-stronger = { PLAIN($volume) } vol n'éclaircissent pas autant ; jusqu'à { PLAIN($most) } vol sont permis ici.
plan_short-stops = Ce cheveu s'arrête avant avec { PLAIN($volume) } vol ({ $limit  }) : baisser la cible ou prévoir une autre visite.
plan-known_head = { $visits ->
        [one] Dernière visite
       *[other] { $visits  } visites
    } : { $move  }
plan_short-stalls = Ce type de cheveu cale vers { TENTHS($level) } en une visite, quel que soit le temps : prévoir une autre visite ou baisser la cible.
plan_short-label = Les { PLAIN($label) } min de l'étiquette finissent avant ses dernières sections : travailler par rangs, moins de sections, ou une autre visite.
plan_short-later_or_stronger = { PLAIN($volume) } vol demanderaient plus de temps ; jusqu'à { PLAIN($most) } vol sont permis ici.
plan_short-later = { PLAIN($volume) } vol ({ $limit  }) demanderaient plus que ne laisse le passage au bac.
left_out-no_weak_bottle = { $why  } autorise { PLAIN($most) } vol, le flacon le plus faible a { PLAIN($weakest) } vol : en ajouter un plus faible à l'étagère.
mix-add_developer = { TENTHS($volume) } vol au lieu de { PLAIN($wanted) } : ajouter { WEIGHT($grams) } de { PLAIN($bottle) } vol.
mix-anew = { TENTHS($volume) } vol au lieu de { PLAIN($wanted) } : refaire le mélange.
mix-thin = Liquide, 1 : { HUNDREDTHS($parts) } : ajouter { WEIGHT($grams) } de décolorant.
mix-thick = Épais, 1 : { HUNDREDTHS($parts) } : ajouter { WEIGHT($grams) } d'oxydant.

## The chair

advice-label_up = Temps de l'étiquette écoulé : rincer maintenant
advice-ready = Prêt : rincer cette zone
advice-leave = Laisser
advice-leave_sure = Laisser ; assez sûr pour rincer ensuite
advice-leave_as_sure_as = Laisser ; un autre regard n'en dirait pas plus
advice-misfit = Ces lectures ne concordent pas : essuyer, sécher, relire
advice-leave_to_label = Laisser jusqu'au temps de l'étiquette
advice-read = Essuyer et lire
advice-read_first = Essuyer et lire un premier papier
advice-stops_near = S'arrête vers { TENTHS($level) } au temps de l'étiquette : prévoir un ton plus foncé ou une autre visite
advice-stops_near_help = S'arrête vers { TENTHS($level) } au temps de l'étiquette : { $ways  } ou une autre visite
short_help-refresh = rafraîchir
short_help-warm = chauffer
short_help-deeper = un ton plus foncé
act-stop = Rincer { $lane  } maintenant
act-rinse = Rincer { $lane  }
act-wipe_out = Essuyer { $lane  }
act-dry_out = Sécher ou essuyer { $lane  }
act-rinse_two = Rincer { $lanes  }
act-rinse_together = Rincer { WHOLE($count) } zones ensemble
act-read = Essuyer et lire { $lane  }
act-short = { $lane  } s'arrêtera avant
act-finish = Finir d'appliquer { $lane  }
act-finish_refresh = Finir le nouveau produit sur { $lane  }
act-start = Commencer { $lane  }
act-mix = Mélanger le bol pour { $lane  }
act-new_bowl = Nouveau bol pour { $lane  }
act-should_look = devrait paraître à { LEVEL($level) }, { $undertone  }
act-target = Cible { LEVEL($target) }
act-read_again = Ces lectures ne concordent pas : essuyer, sécher, relire ; { $seen  }
act-read_at = Lu à { LEVEL($level) } ; cible { LEVEL($target) }
act-read_at_last_foils = Lu à { LEVEL($level) } ; cible { LEVEL($target) } ; derniers papiers, les regarder d'abord
act-bowl_is_stale = ce bol a { WHOLE($age) } min, sa durée est { WHOLE($life) } : ce qui reste éclaircit moins
act-clock_starts = { PLAIN($volume) } vol, dernière section posée : son temps part
act-to_apply = { PLAIN($volume) } vol, { WHOLE($minutes) } min d'application
act-review = Toutes les zones rincées : bilan
    .detail = Sécher un peu, lire chaque zone
act-basin = Au bac maintenant
    .detail = Le toner et ses temps y sont
note-own_product = { $product }
note-misfit = relire à sec
note-stray = s'éclaircit comme aucun cheveu de son type
note-warmed = chauffé
note-refreshed = { $times ->
        [1] rafraîchi
       *[other] rafraîchi { WHOLE($times) } fois
    }
note-dried = sec, arrêté
note-barrier = barrière
note-open_air = air libre, sèche
note-dragged = produit tiré
note-stale_bowl = bol périmé, éclaircit { PERCENT($lost) } de moins
note-scalp_warm = cuir chevelu chaud
note-returns_slowly = revient lentement
note-last_foils = derniers papiers
option-refresh = Rafraîchir avec { PLAIN($volume) } vol
option-cool = Retirer la chaleur
option-warm = Chauffer
option-barrier = Laisser en barrière, passer aux racines
option-pull_out = Sortir de : { $covering  }
option-cover = Couvrir de papier
option-drag = Tirer le produit aux pointes
option-label_runs = { $lane  } : leur temps court
option-dry = Sécher
option-stops_at = s'arrête à { TENTHS($level) } ; le temps de l'étiquette continue
effect-as_before = prêt comme avant
effect-sooner = prêt { WHOLE($minutes) } min plus tôt
effect-later = prêt { WHOLE($minutes) } min plus tard
effect-ready_in = prêt dans environ { WHOLE($minutes) } min
effect-reaches = atteint { TENTHS($level) } au temps de l'étiquette
replan-change = { PLAIN($before) } → { PLAIN($volume) } vol pour { $lane  }
replan-lifts_more = { $lane  } s'éclaircit { PERCENT($share) } plus que prévu : { $change  }
replan-lifts_less = { $lane  } s'éclaircit { PERCENT($share) } moins que prévu : { $change  }
replan-early = Posé { WHOLE($minutes) } min plus tôt que prévu : { $change  }
replan-read = Ce qui a été lu le déplace : { $change  }

## The review

band = { $facts }
band-beside_zone = le reste de la zone
band-beside_head = la plupart de la tête
band-rest = reste { $hue  } { $amount ->
        [faint] léger
        [clear] net
       *[strong] fort
    }
band-darker = { TENTHS($levels) } { $levels ->
        [1] hauteur
       *[other] hauteurs
    } plus foncé que { $beside  }
band-lighter = { TENTHS($levels) } { $levels ->
        [1] hauteur
       *[other] hauteurs
    } plus clair que { $beside  }
band-warmer = plus chaud que { $beside  }
band-cooler = plus froid que { $beside  }
band-difference = différence { WHOLE($difference) }
band-width = { LENGTH($mm) } de large
band-whole_zone = toute la zone
way-tone = Patiner maintenant
way-again = Décolorer encore aujourd'hui
way-visit = Une autre visite
way-lower = Baisser le souhait
way_tone-on_target = Sur la cible
way_tone-short = { TENTHS($short) } { $short ->
        [1] hauteur
       *[other] hauteurs
    } manquantes : patiné à cette profondeur
way_tone-formula = { $formula }, { WHOLE($minutes) } min, écart { TENTHS($away) } au souhait
way_again-gain = { TENTHS($level) } → environ { TENTHS($end) }, { WHOLE($so_far) } min de produit jusqu'ici
way_again-not_planned = impossible à planifier, { WHOLE($so_far) } min de produit jusqu'ici
way_visit-later = Patiner à { LEVEL($level) } maintenant ; les { TENTHS($short) } dernières hauteurs quand le cheveu aura reposé
way_lower-even = Toute la tête à { LEVEL($level) } : uniforme aujourd'hui
review-read_first = Lire { $lane  }{ $more ->
        [0] {""}
       *[other] {" "}et { WHOLE($more) } de plus
    } à sec ou humide d'abord.
review-again = Décolorer encore aujourd'hui : { $lanes  }. Le reste attend son toner.
review-later = Patiner maintenant ; { $lanes  } peut aller plus loin une autre fois.
review-on_target = Tout est sur la cible : patiner maintenant.

## The tone

tone-counter = { CAPITAL($undertone) } à { LEVEL($level) } : { $counter  } ; { $instead  } seul le laisserait { $left  }
tone-counter_rest = Un reste { $rest  } sur { $undertone  } à { LEVEL($level) } : { $counter  } ; { $instead  } seul le laisserait { $left  }
tone-empty_shelf = Aucun toner sur l'étagère.
gives_up-nearest = le plus proche avec cette étagère
gives_up-apart = moins uniforme, de { TENTHS($apart) }
gives_up-away = { TENTHS($away) } plus loin des souhaits
gives_up-worst = une partie { TENTHS($away) } plus loin de son souhait
gives_up-nothing = ne perd rien
gives_up-gains = { TENTHS($away) } plus près, ne vaut pas un bol de plus
tone_act-apply = Bol { WHOLE($bowl) } posé : { $lanes  }
tone_act-stop = Rincer le toner, temps écoulé : { $lanes  }
tone_act-emulsify = Émulsionner : { $lanes  }
    .detail = mains humides, travailler jusqu'aux pointes
tone_act-strand = Rincer une mèche du dessous et regarder : { $lanes  }
    .detail = la recouvrir ensuite
tone_act-rinse = Rincer le toner : { $lanes  }
tone_act-bowl = { $formula  }, { $parts ->
        [1] { WHOLE($most) } min
       *[other] l'une après l'autre ; la première { WHOLE($most) } min, la dernière { WHOLE($least) } min
    }
tone_act-should_look = devrait ressembler à ceci : { $formula  }
would_reach-shade = { $family  }, profondeur { LEVEL($level) }, mélange 1:{ PLAIN($parts) }, l'atteindrait
would_reach-lighter = aucune nuance : le cheveu doit être à { LEVEL($level) } pour cela
would_reach-drawn_out = extraire d'abord le reste ({ $rest  }), alors oui
would_reach-nothing = aucune nuance : souhaiter une autre couleur
tone-much = { WEIGHT($grams) } en tout, plus que les 60 à 120 habituels : { WHOLE($parts) } parties de cheveux longs ou denses
tone-taught_by = d'après une mèche de { $lanes  }
tone-fill = Remplir d'abord { $lanes  } avec { $warm ->
        [copper] un cuivré doré chaud
       *[red_brown] un brun-rouge chaud
    }, 10 min, essuyé : un cheveu si clair ne retient pas le ton foncé sans cela.
toner_warning-looks_dark = Cela paraît seulement foncé : environ { PERCENT($share) } du colorant est entré.
    .help = Le produit cache le résultat : rincer une mèche du dessous, regarder, recouvrir si besoin.
toner_warning-hidden = Le produit cache le résultat : rincer une mèche du dessous et regarder avant de tout rincer.
remedy-counter = Neutraliser au rouge ou au rose
remedy-deeper = Plus foncé, neutre
remedy-toward_ends = Patiner le reste vers ces pointes
remedy-warm = Réchauffer ces pointes
remedy-draw_out = Extraire d'abord : reste de décolorant et shampooing, ou effaceur
probe-same = Avant la sonde : { $before  }, { WHOLE($minutes_before) } min. Maintenant pareil pendant { WHOLE($minutes) } min.
probe-moved = Avant la sonde : { $before  }, { WHOLE($minutes_before) } min. Maintenant { $now  }, { WHOLE($minutes) } min ; cendré { PERCENT($ash_before) } → { PERCENT($ash) } du colorant, doré et neutre { PERCENT($warm_before) } → { PERCENT($warm) }.

## Afterwards

next_visit-closed = Le studio est fermé le { DAY($day) }
next_visit-rests = Le cheveu repose six semaines avant d'être éclairci davantage
next_visit-rests_long = Le cheveu repose six semaines avant d'être éclairci davantage ; la repousse dépassera { LENGTH($most) } et se fait en deux lignes
next_visit-roots = Juste avant que la repousse dépasse { LENGTH($most) } : une application de racine, pas de bande
next_visit-taught = les mèches ont montré comment cette tête s'éclaircit : on peut la planifier
next_visit-tone = Rien à retoucher au cuir chevelu : la patine est rafraîchie
reminder = Votre visite est le { DAY($on) }. { $begin  }, merci de n'utiliser ni { $hair ->
        [toned] shampooing et soin violets, bleus ou cendrés
       *[plain] shampooing ou soin colorés
    }, ni coloration maison, ni henné, et pas d'huile ni de shampooing sec les deux derniers jours. Lavez la veille avec un shampooing simple. Signalez-nous tout nouveau médicament, allergie ou irritation.
reminder-from_now = Dès maintenant
reminder-from_day = À partir du { DAY_OF_YEAR($day) }
last_time = { $ran }: { $did }; { $then }
last_time-ran = { PLAIN($volume) } vol, { WHOLE($minutes) } min
last_time-ran_in_more = { PLAIN($volume) } vol, { WHOLE($minutes) } min en { WHOLE($applications) } applications
last_time-ran_past_label = { PLAIN($volume) } vol, { WHOLE($minutes) } min, au-delà de l'étiquette
last_time-came_to_target = a atteint la cible
last_time-came_short = s'est arrêté { TENTHS($levels) } avant
last_time-came_past = a dépassé de { TENTHS($levels) }
last_time-same_again = la même chose
last_time-corrected = { WHOLE($volume) } vol pendant { WHOLE($minutes) } min
last_time-most = { WHOLE($volume) } vol pendant { WHOLE($minutes) } min est le maximum d'une application : deux applications, ou une autre visite
gain-touch = un soupçon
gain-steps = { $count ->
        [1] un ton
        [2] deux tons
        [3] trois tons
        [4] quatre tons
        [5] cinq tons
       *[other] six tons
    }
gain-several = plusieurs tons
handout-done = Ce que nous avons fait
handout-nothing_done = Nous avons regardé vos cheveux et planifié ensemble.
handout-lightened = Éclairci : { LOWER($lanes) }, de { $gain  }.
handout-palest = En dessous, les parties les plus claires sont maintenant : { $undertone  }.
handout-toned = Patiné vers { $tones  }.
handout-short = Ce n'est pas encore le but : le reste viendra à une autre visite, quand le cheveu aura reposé.
handout-care = Comment en prendre soin
    .wash = Attendez 48 heures avant le premier lavage ; puis lavez rarement, à l'eau tiède, avec un shampooing doux.
    .care = Un après-shampooing à chaque fois, et un soin liant ou protéiné par semaine pendant quatre semaines.
    .heat = Protégez-les de la chaleur, du soleil, du chlore et de l'eau salée ; séchez doucement, peignez depuis les pointes.
    .fades = Une patine s'estompe en quelques semaines. Si cela chauffe, un soin violet par semaine aide, jusqu'à nouvel avis.
handout-watch = Quand nous appeler
    .skin = Si le cuir chevelu brûle, cloque ou démange plus d'un jour, ou si le visage gonfle : rincez à l'eau fraîche et consultez un médecin.
    .hair = Si le cheveu casse ou s'étire comme du caoutchouc mouillé : ni chaleur ni couleur, et appelez-nous.
handout-before_next = Avant la prochaine visite
handout_tone-icy = un blanc glacé
handout_tone-cool = un ton froid
handout_tone-neutral = un ton neutre
handout_tone-beige = un beige
handout_tone-warm = un ton chaud
handout_tone-gold = un ton doré
handout_tone-copper = un cuivré
handout_tone-red_brown = un brun-rouge
handout_tone-rose = un rosé
handout_tone-silver = un ton argent
handout_tone-pearl = un ton nacré
handout_tone-pastel = un ton pastel

## Limits: how a field must be

limit-number = un nombre
limit-finite = un nombre fini
limit-whole = un nombre entier
limit-flag = vrai ou faux
limit-string = un texte
limit-given = indiqué
limit-list = une liste
limit-object = un objet JSON
limit-known_field = un champ connu ici
limit-field_of = un champ de { $kind  } ({ $known  })
limit-one_of = l'un de { $known  }
limit-one_of_zones = l'une des zones { $known  }
limit-made_of = composé de { $known  }
limit-other = d'une autre sorte ({ $code  })
limit-from = { PLAIN($least) } ou plus
limit-up_to = { PLAIN($most) } ou moins
limit-shorthand_empty = une ligne comme 5 tout, pointes 8.5, souhait 9
limit-shorthand_says_nothing = une hauteur, un historique, une porosité ou des mm dans chaque groupe
limit-shorthand_word = zones, parties, hauteurs et passé, avec les mots de cette page
limit-longest = au plus { WHOLE($most) } caractères
limit-shortest = au moins { WHOLE($least) } caractères
limit-at_most_so_many = une liste d'au plus { WHOLE($most) }
limit-at_least_so_many = une liste d'au moins { WHOLE($least) }
limit-moment = un instant, comme 2026-01-31T09:30:00Z
limit-closed_last = pas avant le premier jour, { $most } jours au plus en tout
limit-date = un jour, comme 2026-01-31
limit-text = 1 à { WHOLE($most) } caractères
limit-range = { $unit ->
    [g] un nombre de { WEIGHT_FIGURE($low) } à { WEIGHT_TENTHS($high) }
    [mm] un nombre de { LENGTH_FIGURE($low) } à { LENGTH($high) }
   *[other] un nombre de { PLAIN($low) } à { PLAIN($high) }{ $unit ->
        [level] {" "}(hauteur)
        [parts] {" "}parts pour une
        [vol] {" "}vol
        [min] {" "}min
        [h] {" "}h
        [K] {" "}K
        [pairs] {" "}paires de mains
        [rows] {" "}rangées
        [sections] {" "}sections
        [levels] {" "}hauteurs
        [degrees] {" "}degrés
        [years] {" "}ans
        [days] {" "}jours
        [none] {""}
       *[other] {" "}{ $unit }
    }
}
limit-count = { WHOLE($least) } à { WHOLE($most) } { $noun ->
        [lab] nombres : L*, a*, b*
        [zones] zones
        [lanes] lignes
        [parts] parties
        [readings] lectures
        [visits] passages
        [strands] mèches
        [toners] toners
        [lighteners] décolorants
        [developers] oxydants
        [events] actes
        [eyes] yeux
        [kinds] types de cheveux
        [areas] surfaces
        [closed] jours fériés et congés
       *[other] { $noun }
    }
limit-patches = chaque plage de la carte ; manque : { $missing  }
limit-a_shade = la couleur d'une nuance sur le cheveu le plus clair ; ceci n'en est pas une
limit-lab = trois nombres : L*, a*, b*
limit-above_zero = au-dessus de 0
limit-time_zone = un instant avec fuseau horaire
limit-day = un jour du { $low  } au { $high  }, comme 2026-01-31
limit-most_lines = au plus { WHOLE($most) } lignes
limit-yes_no = oui, non ou rien
limit-no_control = sans caractères de contrôle
limit-no_dot = sans point
limit-at_least_one = au moins un
limit-at_most_max_volume = au plus max_volume { PLAIN($most) } vol
limit-given_for_oxidative = indiqué pour une nuance d'oxydation
limit-only_for_wash = 0 : seul un soin pigmenté se dilue
limit-nothing_for_wash = rien pour un soin pigmenté : jamais avec du peroxyde
limit-one_dye_family = au moins une famille de colorants
limit-sum_of_shares = des parts dont la somme est 1
limit-not_below_start_level = à la hauteur de départ { PLAIN($level) } ou au-dessus
limit-past_its_start = après son début, { LENGTH($least) }
limit-after_the_part_before = où finit la partie précédente ou après, { LENGTH($least) }
limit-within_length = dans la longueur du cheveu, { LENGTH($most) }
limit-most_lanes = au plus { WHOLE($most) } lignes
limit-most_zones = au plus { WHOLE($most) } zones
limit-most_strands = au plus { WHOLE($most) } mèches
limit-most_measurements = au plus { WHOLE($most) } mesures
limit-most_clients = au plus { WHOLE($most) } clients
limit-one_or_two_shades = une nuance ou deux
limit-one_each_shade = { WHOLE($count) } valeurs, une par nuance
limit-one_each_zone = { WHOLE($count) } valeurs, une par zone
limit-both_oxidative = toutes deux d'oxydation, ou aucune
limit-times_of_both_labels = des temps permis par les deux étiquettes ({ $shades  })
limit-share_of_second = 1 pour une nuance, moins de 1 avec une seconde
limit-one_for_this_person = au moins une permise pour cette personne
limit-one_developer = au moins un oxydant
limit-one_developer_on_shelf = au moins un oxydant sur l'étagère
limit-least_developer = au moins { WEIGHT_TENTHS($least) } d'oxydant
limit-bottles = de { PLAIN($low) } à { PLAIN($high) } vol (flacons de l'étagère)
limit-different_keys = des zones aux clés différentes
limit-different_from_others = différent des autres : { $name  }
limit-another_lane = une autre ligne que zone_key
limit-given_or_scalp = indiqué, ou cuir chevelu
limit-services_filed = au moins { WHOLE($least) } classées avec ce produit
limit-event = un événement avec sa sorte et ses données
limit-given_to_plan = indiqué dans un fichier à planifier
limit-versions = { $known  }, les versions que ce programme lit
limit-columns = les colonnes { $columns  }
limit-cells = { WHOLE($count) } cellules
limit-values = { WHOLE($count) } valeurs
limit-quotes_in_pairs = des guillemets par paires
limit-with = avec { $names  }
limit-with_before_data = avec { $names  }, avant les données
limit-one_measurement = au moins une mesure
limit-same_facts = les mêmes faits sur chaque ligne de { $strand  }
limit-minute_and_level = minute et hauteur, ou aucune des deux
limit-on_shelf = un décolorant de l'étagère
limit-none_on_shelf = aucun sur l'étagère
limit-as_kept = tel que ce programme le garde
limit-from_today_within_two_years = un instant à partir d'aujourd'hui, dans les deux ans
limit-after_last_within_two_years = un instant avec fuseau après la dernière visite, dans les deux ans
limit-open_day = un jour où le studio est ouvert
limit-within_a_year = un instant à venir, dans l'année
limit-within_two_days = un instant avec fuseau dans les deux derniers jours
limit-years_away = un instant avec fuseau, à { WHOLE($most) } ans au plus
limit-moment_between = un instant avec fuseau, de { $low  } à { $high  }
limit-not_in_future = pas dans le futur
limit-all_zones_once = toutes les zones une fois ({ $zones  })
limit-different_keys_of = { $field  } aux clés différentes
limit-client_name = le nom du client, { $name  }
limit-field_of_model = comme dit : { $why  }
limit-password = plus fort : { $why  }
limit-own_password = votre mot de passe actuel
limit-another_password = différent du précédent
limit-email = une adresse comme nom@studio.example
limit-code_of_phone = les six chiffres que montre votre téléphone
limit-most_links = au plus { WHOLE($most) } valides ; en révoquer un d'abord
limit-most_of_a_kind = au plus { WHOLE($most) } d'une sorte
limit-no_zone_open = aucune : aucune zone n'a encore de produit
limit-first_of_bad_lines = { $limit  } (la première de { WHOLE($count) } lignes fautives)
limit-given_for = indiqué pour { $of  }
limit-json = du JSON ({ $why  })
limit-json_body = du JSON
limit-utf8 = du texte en UTF-8
limit-readable_file = un fichier lisible ({ $why  })
limit-most_bytes = au plus { WHOLE($most) } octets
limit-file_of_bytes = un fichier de 1 à { WHOLE($most) } octets
limit-most_pixels = au plus { WHOLE($most) } pixels
limit-picture = une image ({ $formats  })
limit-jpeg = une image JPEG
limit-depth = au plus { WHOLE($most) } niveaux
limit-plain_text = un texte sans NUL ni substituts isolés
limit-plain_keys = des clés sans NUL ni substituts isolés
limit-finite_only = des nombres finis seulement
limit-format = { $format  } version { WHOLE($version) }
limit-member = un membre avec identifiant et rôle
limit-client_of_archive = un client de cette archive
limit-on_archives_shelf = sur l'étagère de cette archive
limit-step_of_log = { $step  }, comme le dit son journal
limit-studio_settings = les réglages d'un studio
limit-entry_once = chaque entrée une fois
limit-archive_entries = les entrées { $names  } et photos/*.jpg
limit-not_encrypted = non chiffré
limit-packed = au plus { WHOLE($most) } octets, compressés { WHOLE($ratio) } : 1
limit-unpacked = au plus { WHOLE($most) } octets décompressés
limit-most_entries = au plus { WHOLE($most) } entrées

## Errors: what happened, what is kept, what to do

problem-401 = Déconnecté
problem-403 = Non permis
problem-404 = Introuvable
problem-409 = Incompatible
problem-422 = Hors limites
problem-other = Erreur
error-already_again = Cette zone est déjà décolorée à nouveau.
error-already_barrier = Le produit de cette zone est déjà une barrière.
error-already_begun = On a déjà travaillé dans ce service ; son journal reste. Classez-le plutôt.
error-already_dry = Cette zone a déjà été séchée.
error-already_emulsified = C'est déjà émulsionné.
error-already_here = Des lignes de cette archive sont déjà ici.
error-already_rinsed = Cette zone a déjà été rincée.
error-already_started = Cette zone est déjà commencée.
    .plan = Le produit est déjà sur le cheveu ; le plan ne peut plus être repris.
    .strands = Le plan est au fauteuil ; les tests de mèche sont clos.
    .consultation = Le plan est au fauteuil ; le diagnostic est clos.
error-already_warm = Il y a déjà de la chaleur sur cette zone.
error-bad_archive = Le fichier n'est pas une archive de studio (pas un zip).
    .json = { $where  } : pas du JSON ({ $why  }).
    .unreadable = { $name  } : illisible.
error-bad_csv = ligne { WHOLE($line) } : pas du CSV ({ $why  }).
error-caution = { $title }. { $advice }
    .shade = { $shade }: { $title }. { $advice }
error-cautions_open = Encore à confirmer : { $missing  }.
error-changed_elsewhere = Quelqu'un d'autre l'a modifié entre-temps ; voici sa version.
error-consultation_open = Finir le diagnostic avant le plan.
error-enough_addenda = Une fiche contient { WHOLE($most) } ajouts.
error-enough_photos = Un service contient { WHOLE($most) } photos ; retirez-en une d'abord.
error-erased = Ce client a été effacé ; ajoutez-le à nouveau.
    .written = Ce client a été effacé ; plus rien ne peut être écrit à son sujet.
error-event_id_taken = Cet identifiant d'événement est pris.
    .other = Cet identifiant appartient à un autre acte : { $kind  }. Rien n'a changé.
error-in_use = { $name  } figure dans des services ; leur fiche en a besoin.
error-label_unread = Lire sur l'étiquette de { $product  } qu'il peut être remis.
    .refresh = Lire d'abord l'étiquette de { $product  } : autorise-t-elle une autre application aujourd'hui ?
error-last_owner = Un studio a besoin d'un propriétaire ; nommez-en un autre d'abord.
error-busy = Le serveur calcule pour beaucoup en ce moment. Rien n'est perdu ; réessayez dans un instant.
error-bad_json = Ce n'est pas du JSON.
error-code_needed = Saisissez les six chiffres de votre téléphone, ou un code de secours.
error-wrong_code = Le code n'est pas bon. Attendez le suivant ; après des erreurs l'attente s'allonge.
error-second_factor_set = Un second facteur existe déjà ; désactivez-le d'abord.
error-second_factor_none = Aucun second facteur configuré.
error-second_factor_demanded = Le studio demande à tous un second facteur ; seul son propriétaire peut le changer.
error-owes_password = Choisissez d'abord votre propre mot de passe.
error-owes_second_factor = Le studio demande à tous un second facteur ; configurez le vôtre d'abord.
error-later_acts_depend = Des actes ultérieurs en dépendent ; annulez-les d'abord.
    .acknowledged = Le diagnostic a été terminé avec cela ; annulez-le d'abord.
error-locked_out = Trop d'essais. Attendez un quart d'heure.
error-sign_in_busy = Trop de connexions en ce moment. Attendez un instant et réessayez.
error-too_many_lines = Cet appareil a trop de tableaux ouverts ; fermez-en.
error-begin_token = Cette adresse n'est pas celle donnée par le serveur, ou a plus d'une semaine. Redémarrez-le pour une nouvelle.
error-begun_already = Il y a déjà un studio ici ; connectez-vous.
error-name_taken = Le nom { $name  } est pris ; choisissez-en un autre pour vous connecter.
    .shelf = { $name  } est déjà sur l'étagère.
error-no_cgats = Le fichier ne commence pas comme du texte CGATS (CGATS.17).
error-no_database = La base de données ne répond pas. Rien n'a été gardé ; réessayez dans un instant.
    .stream = La base de données ne répond pas ; réessayez dans un instant.
error-no_ends = Le produit ne se tire qu'aux pointes en attente de la même zone.
error-no_heat = { $why }
error-no_lightener = Choisissez d'abord un décolorant.
    .shelf = Choisissez d'abord un décolorant ; l'étagère est peut-être vide.
    .file = Le fichier n'a pas de décolorant.
error-no_peroxide = { $shades  } : un soin pigmenté ne se mélange pas à une nuance d'oxydation.
    .developer = developer_g : doit être 0 pour un soin pigmenté ({ $shades  }), reçu { PLAIN($grams) }.
error-no_plan = Aucun plan n'est encore au fauteuil.
    .file = Aucun plan pris au fauteuil jusqu'à la minute { PLAIN($minute) } du journal du fichier.
error-no_reader = Aucun lecteur de couleur configuré (FERVENS_READER) ; lire à l'œil.
error-no_refresh = { $why }
error-no_camera = Pas de caméra simulée ici ; prenez une photo.
error-no_round = Aucun tour d'étalonnage de vous n'est gardé.
error-no_studio = Ce compte n'appartient encore à aucun studio ; le propriétaire peut l'ajouter.
error-no_toner = Pas de toner sur cette zone.
error-no_zones = Lisez d'abord au moins une zone de la tête.
error-not_again = { $lane  } ne peut plus être décoloré aujourd'hui : { $why  }.
error-not_allowed = Votre rôle ne le permet pas.
    .lead = Un assistant ne peut pas : { $act  } ; demandez à un technicien.
    .owner = Seul un propriétaire peut : { $act  }.
error-not_applying = Cette zone n'est pas en application.
error-not_empty = Ce studio a déjà des clients ou des produits ; une archive va dans un studio vide.
error-not_filed = La fiche est encore ouverte : écrivez-y ; les ajouts viennent après classement.
    .next = Classez d'abord ; la prochaine visite en découle.
error-not_found = Il n'y a rien ici que vous puissiez voir.
error-not_kept = Cette zone a reçu du décolorant ; lisez-la comme ligne.
error-not_kept_at_all = Une valeur ne peut pas être gardée. Rien ne l'a été.
error-not_planning = Ce service n'en est pas au plan.
error-not_processing = Aucun produit ne pose sur cette zone.
error-not_read = Lisez d'abord { $lane  } après le rinçage.
error-not_rinsed = Rincer le décolorant avant le toner.
    .probe = Rincer le décolorant avant la sonde.
    .again = Rincer et lire avant de décolorer à nouveau.
    .review = Rincer le décolorant avant le bilan.
    .tone = Seules les zones rincées peuvent être patinées.
error-not_warm = Pas de chaleur sur cette zone.
error-nothing_carried = Rien d'appris n'a été reporté dans { $name  }.
error-nothing_filed = Aucun service classé à reprendre ; commencez-en un.
error-nothing_measured = Aucune mesure dans ce service ; rien à sortir.
error-nothing_on = Pas encore de produit sur cette zone.
error-nothing_planned = Aucune ligne de ce plan ne reçoit de produit.
error-nothing_to_drag = Pas de produit à tirer de là.
error-nothing_deeper = Aucune partie n'est voulue plus foncée.
error-no_tone_parts = Lisez au moins une zone à patiner.
error-not_by_hand = Ce qui va au bac est calculé ici, pas envoyé.
error-nothing_to_lift = Aucune zone n'est voulue plus claire ; rien à planifier.
    .consultation = Le service en est au plan ; au moins une zone doit être éclaircie.
error-nothing_to_read = Finir l'application avant de lire.
error-nothing_to_rinse = Pas de produit sur cette zone.
error-picture = L'image est illisible.
    .no_card = La carte n'est pas entière : les quatre repères doivent être dans l'image.
    .no_picture = Ce n'est pas une image (JPEG, PNG ou WebP).
    .too_large = L'image est trop grande.
    .too_dark = Trop sombre : plus de lumière, ou ouvrez la fenêtre.
    .burnt_out = Brûlé : les plages claires n'ont plus de couleur. Reprenez avec moins de lumière.
    .blurred = Flou : ne bougez pas, touchez la carte pour la mise au point, reprenez.
    .uneven-left = Lumière inégale : le côté gauche de la carte est à l'ombre. Tournez-la vers la lumière.
    .uneven-right = Lumière inégale : le côté droit de la carte est à l'ombre. Tournez-la vers la lumière.
    .uneven-top = Lumière inégale : le haut de la carte est à l'ombre. Tournez-la vers la lumière.
    .uneven-bottom = Lumière inégale : le bas de la carte est à l'ombre. Tournez-la vers la lumière.
    .gloss = La mèche brille mouillée : tamponnez et inclinez un peu la carte.
    .other_light-left = La mèche reçoit une autre lumière que la carte, à gauche.
    .other_light-right = La mèche reçoit une autre lumière que la carte, à droite.
    .other_light-top = La mèche reçoit une autre lumière que la carte, en haut.
    .other_light-bottom = La mèche reçoit une autre lumière que la carte, en bas.
error-reader_away = Le lecteur de couleur ne répond pas ; lire à l'œil.
error-reader_error = Le lecteur de couleur dit : { $told  }.
error-reader_line = Le lecteur de couleur s'est interrompu ; réessayez, ou lisez à l'œil.
    .other = Ce qui répond à { $address  } n'est pas un lecteur de couleur.
    .sent = Le lecteur de couleur a envoyé { $line  }, pas une mesure.
error-refused = Ceci n'a pas été compris ; rien n'a été gardé.
field-zones = zone
field-strands = mèche
field-parts = partie
field-readings = lecture
field-start_level = hauteur actuelle
field-target_level = hauteur souhaitée
field-now_level = hauteur actuelle
field-wished_level = hauteur souhaitée
field-wanted_level = hauteur souhaitée
field-level = hauteur
field-name = nom
field-first_name = prénom
field-last_name = nom de famille
field-username = identifiant
field-password = mot de passe
field-email = courriel
field-code = code
field-language = langue
field-role = rôle
field-volume_strength = force, vol
field-minutes = minutes
field-starts_at = jour et heure
field-birth_date = date de naissance
field-patch_test_placed_at = test cutané posé
field-growth_mm_per_month = pousse par mois
field-length_mm = longueur
field-from_mm = de
field-to_mm = à
field-off_scalp_mm = distance du cuir chevelu
field-time_min = temps disponible, min
field-wish = souhait
field-notes = notes
field-contact = contact
field-told = ce qui a été dit
field-photos = photos
field-text = texte
field-slot_min = temps souhaité, min
field-label_max_min = temps maximal, min
field-developer_parts = oxydant pour une part
field-max_volume = maximum, vol
field-stock_g = sur l'étagère
field-old_password = mot de passe actuel
field-foil_count = sections
field-pace_min_per_foil = rythme, min par section
field-booked_min = réservé, min
field-occurred_at = heure
field-low_g = bas à partir de
field-price_per_g = prix
field-max_volume_on_scalp = le plus fort au cuir chevelu, vol
field-bowl_life_min = tenue d'un bol, min
field-lift_factor = jusqu'où il éclaircit
field-rate_factor = à quelle vitesse il éclaircit
field-max_applications = applications par visite
field-developer_volume = oxydant, vol
field-label_min_min = temps le plus court, min
field-patch_test_wait_h = test cutané avant, h
field-rest_mm = mèche au repos
field-pulled_mm = mèche tirée
field-back_mm = mèche relâchée
field-tint_level = hauteur de la coloration
field-grey_share = part de blancs
field-share = part
field-spacing_mm = espacement
field-stretch_before_percent = étirement avant, %
field-stretch_after_percent = étirement après, %
field-volumes = oxydant, vol
field-visits = passage au bac
field-visit_mins = passage au bac, min
field-rows = rangées
field-hands = mains
field-product_g = produit
field-developer_g = oxydant
field-mass_g = pesé
field-wanted_volume = force voulue, vol
field-warmth = chaleur
field-blend_mm = fondu
field-dilution = dilution
field-weakest_natural = le plus faible sur cheveu naturel, vol
field-weakest_worn = le plus faible sur cheveu clair, fin ou poreux, vol
field-weakest_old_dye = le plus faible sur ancienne coloration, vol
field-root_share = racines
field-band_share = bandes
field-open_air_share = air libre
field-tone_share = toner
field-change_min = vers la zone suivante, min
field-rinse_min = un passage au bac, min
field-look_min = une ligne regardée, min
field-mix_min = un bol mélangé, min
field-idle_min = déconnexion après, min
field-closed_on = jours fermés
field-first = premier jour
field-last = dernier jour
field-dyes = colorants
field-worked = ce qui a marché
field-change = ce qui doit changer
field-reason = raison
field-currency = monnaie
field-allergies = allergies
field-medication = médicaments
field-typed_name = le nom, retapé
field-label = nom de la version
field-for_name = pour qui
field-studio = nom du studio
field-rest_name = nom du reste
field-new_password = nouveau mot de passe
error-refused_at = { $field }.{ $told }
error-refused_within = { $place }: { $told }
error-service_closed = Le service est classé ; rien ne peut y être ajouté.
error-not_a_demo = Seule une démonstration peut être réveillée.
error-signed_out = Veuillez vous connecter.
error-still_lifting = Des zones ont encore du décolorant ; rincez-les d'abord.
    .file = Des zones du fichier ont encore du décolorant ; rincez-les d'abord.
error-toned = Cette zone est déjà patinée.
error-toner_on = Il y a un toner sur cette zone.
error-toner_open = Toner encore posé : { $zones  }. Rincez avant de classer.
error-toner_over_label = minutes : au plus { PLAIN($most) } (étiquette de { $shade  }), reçu { PLAIN($minutes) }.
error-too_large = body : au plus { WHOLE($most) } octets, reçu { $value  }. Rien n'a été gardé.
error-too_late = Cette zone a déjà été rincée.
error-puzzle = La page est restée ouverte trop longtemps, ou sa réponse a déjà servi. Rechargez-la ; copiez ce que vous avez écrit.
error-too_many_requests = Trop de demandes aujourd'hui ; veuillez appeler le studio.
error-too_many_versions = Au plus { WHOLE($most) } versions sont gardées.
error-unknown_event = Aucun événement de ce type à annuler.
    .fold = kind : { $kind  } ne peut pas être replié.
    .kind = kind : doit être l'un de { $known  }, reçu { $kind  }.
    .version = version : doit être de 1 à { WHOLE($newest) } pour { $kind  }, reçu { WHOLE($version) }.
error-unknown_shade = Cette nuance n'est plus sur l'étagère.
    .in_mind = Le toner envisagé n'est plus sur l'étagère.
error-unknown_zone = Il n'y a pas de zone '{ $key  }' ici.
    .kept = Aucune partie laissée telle quelle n'a la clé '{ $key  }'.
error-round_over = Ce tour est fini. Voyez son bilan, ou réessayez.
error-round_not_over = Ce tour n'est pas fini. Terminez-le d'abord.
error-only_in_practice = Réservé aux tours d'entraînement.
error-unlike_hair = La mesure (L* { WHOLE($l) }, a* { WHOLE($a) }, b* { WHOLE($b) }) ne ressemble à aucune hauteur de ce cheveu : essuyez la mèche, à plat, et remesurez, ou lisez à l'œil.
error-value_out_of_limit = { $field  } : doit être { $limit  }, reçu { $value  }.
got-g = { WEIGHT_TENTHS($value) }
got-mm = { LENGTH($value) }
error-field_out_of_limit = { FIELD($field) } : doit être { $limit  }, reçu { $value  }.
error-secret_out_of_limit = { FIELD($field) } : doit être { $limit  }.
error-volume_over_limit = { $lane  } : au plus { PLAIN($most) } vol ({ $limit  }), reçu { PLAIN($volume) }.
error-wrong_password = Nom ou mot de passe incorrect.
error-zones_open = Encore du produit : { $zones  }. Rincez avant de classer.

## What a role does, for its refusal

doing-acknowledge_a_caution = confirmer une mise en garde
doing-add_members = ajouter des membres
doing-bring_a_studio_in = importer un studio
doing-bring_clients_in = importer des clients
doing-move_a_visit = déplacer une visite
doing-cancel_a_visit = annuler une visite
doing-change_a_strength = changer une force
doing-change_members = modifier des membres
doing-change_the_shelf = modifier l'étagère
doing-change_the_studio = modifier le studio
doing-erase_a_client = effacer un client
doing-file_a_service = classer un service
doing-finish_a_consultation = terminer un diagnostic
doing-keep_a_plan = garder un plan
doing-lighten_again = décolorer à nouveau
doing-make_links = créer des liens
doing-measure_the_card = mesurer la carte
doing-read_the_audit_trail = lire le journal d'audit
doing-read_a_patch_test = noter un test cutané
doing-remove_a_filed_photo = retirer une photo d'un service classé
doing-revoke_links = révoquer des liens
doing-take_a_plan_to_the_chair = prendre un plan au fauteuil
doing-take_a_service_file_in = importer un fichier de service
doing-take_clients_out = sortir des clients
doing-take_the_studio_out = sortir le studio
doing-write_a_plan = écrire un plan

## The audit trail

audit-account_changed = compte modifié
audit-archive_brought_in = archive importée
audit-archive_taken_out = archive sortie
audit-card_forgotten = carte prise telle qu'imprimée
audit-card_measured = carte mesurée
audit-client_added = client ajouté
audit-client_changed = client modifié
audit-client_erased = client effacé
audit-client_reminded = rappel envoyé au client
audit-client_taken_out = client sorti
audit-clients_brought_in = clients importés
audit-clients_taken_out = clients sortis
audit-code_failed = second facteur refusé
audit-consultation_written = diagnostic écrit
audit-developer_added = oxydant ajouté
audit-developer_changed = oxydant modifié
audit-developer_removed = oxydant retiré
audit-eye_calibrated = œil étalonné
audit-eye_round_taken_back = tour d'étalonnage repris
audit-feed_link_made = lien d'agenda créé
audit-feed_link_revoked = lien d'agenda révoqué
audit-invitation_taken_back = invitation reprise
audit-invitation_taken_up = invitation acceptée
audit-learnt_factor_carried_in = facteur appris reporté
audit-learnt_factor_taken_back = facteur appris repris
audit-lightener_added = décolorant ajouté
audit-lightener_changed = décolorant modifié
audit-lightener_removed = décolorant retiré
audit-measurements_brought_in = mesures importées
audit-member_added = membre ajouté
audit-member_changed = membre modifié
audit-member_invited = membre invité
audit-password_changed = mot de passe changé
audit-password_reset = mot de passe réinitialisé
audit-photo_added = photo ajoutée
audit-photo_removed = photo retirée
audit-plan_version_kept = version du plan gardée
audit-plan_written = plan écrit
audit-reaction_to_oxidative_colour_answered = réaction à l'oxydation répondue
audit-record_added_to = fiche complétée
audit-recovery_code_used = code de secours utilisé
audit-recovery_codes_made = codes de secours créés
audit-reminder_taken_back = rappel repris
audit-request_came_in = demande reçue
audit-requests_cleared = demandes effacées
audit-request_link_made = lien de demande créé
audit-request_link_revoked = lien de demande révoqué
audit-reset_asked = réinitialisation demandée par courriel
audit-reset_made = réinitialisation remise
audit-second_factor_off = second facteur désactivé
audit-second_factor_set = second facteur configuré
audit-service_file_taken_in = fichier de service importé
audit-service_file_taken_out = fichier de service sorti
audit-service_started = service commencé
audit-service_started_from_the_last = service commencé depuis le dernier
audit-sign_in_failed = connexion échouée
audit-signed_in = connecté
audit-signed_out = déconnecté
audit-signed_out_everywhere = déconnecté partout
audit-strand_tests_taken_in = tests de mèche importés
audit-studio_begun = studio créé
audit-studio_changed = studio modifié
audit-trail_taken_out = journal d'audit sorti
audit-shelf_brought_in = étagère importée
audit-shelf_taken_out = étagère sortie
audit-toner_added = toner ajouté
audit-toner_changed = toner modifié
audit-toner_removed = toner retiré
audit-visit_cancelled = visite annulée
audit-visit_moved = visite déplacée

## Mail to members

mail-invited = { $by } vous invite à travailler avec { $studio } dans Fervens.

    Créez votre compte ici, dans les { WHOLE($days) } jours ; l'adresse ne sert qu'une fois :
    { $address }
    .title = Une place chez { $studio  }
mail-reset = Bonjour { $name },

    quelqu'un a demandé un nouveau mot de passe pour votre compte Fervens. Choisissez-le ici, dans la journée :
    { $address }

    Si ce n'était pas vous, rien n'a changé et vous n'avez rien à faire.
    .title = Un nouveau mot de passe
mail-password_changed = Bonjour { $name },

    votre mot de passe Fervens vient d'être changé et les autres appareils ont été déconnectés.
    Si ce n'était pas vous, demandez-en aussitôt un nouveau au propriétaire du studio.
    .title = Votre mot de passe a été changé

## The log

caution_name-scalp_broken = cuir chevelu lésé
caution_name-elasticity = élasticité
caution_name-metallic_salts = sels métalliques
caution_name-build_up = dépôts
caution_name-scalp_sensitive = cuir chevelu sensible
caution_name-elasticity_slow = élasticité lente
caution_name-patch_test_open = test cutané ouvert
caution_name-reaction_open = réaction ouverte
caution_name-allergies = allergies
caution_name-medication = médicaments
caution_name-under_16 = moins de 16 ans
caution_name-metallic_history = passé de sels métalliques
caution_name-henna_untested = henné non testé
caution_name-unknown_untested = inconnu non testé
caution_name-henna = henné
caution_name-elasticity_zone = élasticité d'une zone
caution_name-breakage = casse
caution_name-frail = fragile
caution_name-direct_dye = colorant direct
caution_name-delicate = délicat
caution_name-frail_toned = cheveu fragile patiné
caution_name-lightened = décoloré
caution_name-white_in_one = blanc en une fois
caution_name-long_regrowth = repousse longue
caution_name-no_strand_test = pas de test de mèche
caution_name-toning_use = usage du toner
caution_name-professional_use = usage professionnel
event-ConsultationFinished = Diagnostic terminé
event-ReviewFinished = Bilan terminé
event-ServiceClosed = Classé
event-ApplicationFinished = { $zone  } : application terminée
event-Rinsed = { $zone  } : rincé
event-wiped = { $zone  } : essuyé ou séché
event-HeatStarted = { $zone  } : chaleur posée
event-HeatEnded = { $zone  } : chaleur retirée
event-BarrierLeft = { $zone  } : laissé en barrière
event-DriedOut = { $zone  } : séché
event-acknowledged = Confirmé : { $caution  }
event-plan_taken = Plan pris au fauteuil, { WHOLE($zones) } zones
event-bowl = Bol pour { $zone  } : { WEIGHT($grams) }, { PLAIN($volume) } vol
event-bowl_is_on = { $bowl  } ; application commencée
event-started_after = { $before  } : application terminée ; { $then  }
event-started = { $zone  } : application commencée, { PLAIN($volume) } vol
event-reading = { $zone }: { $said } ({ $how })
event-read = lu { LEVEL($level) }
event-read_first = premiers papiers lus { LEVEL($level) }
event-not_lightened = non décoloré
event-warmer = plus chaud
event-cooler = plus froid
event-rest = reste { $hue  }
event-reader = lecteur de couleur
event-named_reader = lecteur de couleur { $name  }
event-rinsed_together = Rincé ensemble : { $zones  }
event-refreshed = { $zone  } : nouveau produit, { PLAIN($volume) } vol
event-dragged = { $zone  } : produit tiré de { $source  }
event-covering = { $zone  } : maintenant { $covering  }
event-noted = { $zone }: { $said }
event-hair_returns = s'étire et revient
event-hair_slow = revient lentement
event-hair_stays_stretched = reste étiré
event-hair_snaps = casse
event-scalp_fine = cuir chevelu va bien
event-scalp_warm = cuir chevelu chaud
event-scalp_burns = cuir chevelu brûle
event-developer = { $zone  } : { PLAIN($volume) } vol à la place
event-again = Décoloré à nouveau : { $zones  }
event-zone_volume = { $zone  } { PLAIN($volume) } vol
event-wish = Souhait : { $tone  } à { LEVEL($level) }
event-wish_measured = Souhait : une couleur mesurée à { LEVEL($level) }
event-no_shadow = Pas de racine ombrée
event-shadow = Racine ombrée à { LEVEL($level) }, { LENGTH($length) }, fondue sur { LENGTH($blend) }
event-probe = { $zone  } : le shampooing violet a pris { $grab  }
event-two_shades = { $first } + { $second } { WHOLE($parts) }:{ WHOLE($rest) }
event-toner_applied = { $zone  } : toner { $formula  } posé, { PLAIN($minutes) } min
event-tone_bowl = Toner { $formula  } posé : { $zones  }
event-toners_emulsified = Toner émulsionné : { $zones  }
event-toners_rinsed = Toner rincé : { $zones  }
event-own_formula = Formule personnelle pour { $zones  }
event-as_proposed = La formule proposée de nouveau pour { $zones  }
event-wish_for = { $wish  }, pour { $zones  }
event-toner_emulsified = { $zone  } : toner émulsionné
event-toner_strand = { $zone  } : une mèche rincée, { PERCENT($share) } de son colorant
event-toner_pulled_back = { $zone  } : toner recouvert, { PLAIN($minutes) } min en tout
event-toner_rinsed = { $zone  } : toner rincé
version-taken = pris au fauteuil

## Day and client

day-read_head = Lire la tête
day-finish = Terminer le diagnostic
day-clarify = Clarifier d'abord
day-not_today = Ne pas décolorer aujourd'hui
day-strands = Tester les mèches
day-plan = Planifier
day-chair = Au fauteuil
day-review = Lire et faire le bilan
day-tone = Patiner
day-toner_on = Toner sur { WHOLE($on) } zones sur { WHOLE($of) }
day-filed = Classé
source-request = demande
source-last_time = dernière fois
history-patch_not_done = Test cutané : posé, non lu
history-patch_negative = Test cutané : clair
history-patch_positive = Test cutané : réaction
history-strands = { WHOLE($count) } { $count ->
        [1] mèche testée
       *[other] mèches testées
    }, jusqu'à la hauteur { LEVEL($best) }
hair_kind = { $history  }, { $thickness  }, porosité { $porosity  }
request-form = formulaire de demande
request-photo = envoyé par le client
request-notes = Visite demandée le { DAY($on) }. Joindre : { $reach }.
    Indiqué : { $past }
request-not_given = non indiqué
request-nothing = rien
calendar-name = Visite
calendar-visit = Couleur : { $client  }

## The card, on paper

min = { WHOLE($minutes) } min
g = { WEIGHT($grams) }
card-title = Fiche de service, { $client  }
card-foot = { $client }, { DAY($on) }
card-head = { DAY($on) }, { $at }, { $filed }. { $lightener }.
card-filed = classé à { $at  }
card-not_filed = pas encore classé
card-no_lightener = pas de décolorant
card-wish = Souhait : { $wish  } ({ $tone  })
card-walls = Au-delà du temps de l'étiquette : { $lanes  }.
card-lightening = Décoloration
card-strands = Tests de mèche
card-level = de { LEVEL($level) }
card-strand_reading = { PLAIN($minute) } min : { LEVEL($level) }
card-bowls = Bols
card-toner = Toner
card-readings = Lectures
card-cautions = Mises en garde confirmées
card-keep = À retenir
card_head-zone = Zone
card_head-formula = Formule
card_head-on = Posé
card_head-rinsed = Rincé
card_head-planned = Prévu
card_head-ran = Réel
card_head-levels = De, à, souhaité
card_head-mixed = Mélangé
card_head-strength = Force
card_head-lightener = Décolorant
card_head-developer = Oxydant
card_head-recipe = Recette
card_head-grams = Grammes
card_head-strand = Mèche
card_head-readings = Lectures
card_head-painted = Dans le temps
card-level_alone = { LEVEL($level) }
card-numbered = { WHOLE($number) }  { $lane }
card-clocks = { $on } à { $rinsed }, { $ran } (prévu { $planned })
trolley-title = Feuille de chariot, { $client }
trolley-head = { DAY($on) }. { $lightener }, étiquette { WHOLE($label) } min. { WHOLE($chair) } min au fauteuil.
trolley-minutes = Les minutes comptent dès le premier produit sur le cheveu. La barre est le temps de l'étiquette.
trolley-order = Dans l'ordre des mains
trolley-mixing = Liste de mélange
trolley-cut = Bandes pour les bols : à découper et à coller
trolley-bowl = Bol { WHOLE($number) }, { PLAIN($volume) } vol
trolley-mixed_at = mélangé à ____:____ , bon { WHOLE($life) } min
trolley_head-rinse = Rinçage
trolley_head-minute = Minute
trolley_head-for = Pour
trolley_head-makes = Donne
card-pour = { WEIGHT($grams) } { PLAIN($volume) } vol
card-of = { WEIGHT($grams) } { $name }
card-formula = { PLAIN($volume) } vol{ $applications ->
        [0] {""}
        [1] {""}
       *[other] , { WHOLE($applications) } applications
    }
card-levels = { LEVEL($before) } → { TENTHS($level) } ({ LEVEL($target) })
card-levels_open = { LEVEL($before) } →  ({ LEVEL($target) })
card-still_on = encore posé
card-toner_grams = { WEIGHT($product) } + { WEIGHT($developer) }
card-difference = Écart aux souhaits { TENTHS($difference) } (CIEDE2000, moyenne).
card-tone_bowl = { $at  } : { $formula  }, { WEIGHT_TENTHS($product) } + { WEIGHT_TENTHS($developer) }, posé dans cet ordre : { $zones  } ; rincé { $rinses  }.
card-reading = { $lane } { LEVEL($level) } ({ $mode })
card-reading_at = { $lane  } { LEVEL($level) } à { WHOLE($minute) } min ({ $mode  })
card-readings_listed = { $readings }.
card-caution = { CAPITAL($caution) }: { $by }, { $at }
card-worked = Réussi : { $said  }
card-change = À changer : { $said  }
card-nothing_noted = rien de noté
card-added = Ajouté le { DAY($on) } par { $by  } : { $said  }
card-contact = Contact le plus long { WHOLE($minutes) } min.
card-contact_and_cost = Contact le plus long { WHOLE($minutes) } min, produit { HUNDREDTHS($cost) } { $currency  }.
card-professional_use = Usage professionnel. L'étiquette du produit, la fiche de sécurité, le droit local et la licence priment ; là où ils diffèrent de cette fiche, ils l'emportent.
handout-title = À emporter
handout-again = Nous proposons de vous revoir
handout-on_or_about = Vers le { DAY($on) }.
camera_card-title = Carte pour lire le cheveu à la caméra
camera_card-note_1 = Imprimer à taille réelle (100 %), mat, sans gestion des couleurs. Laisser sécher une heure.
camera_card-note_2 = Poser la mèche essuyée à plat sur toute la fenêtre. Carte entière dans l'image, lumière égale, sans flash.
camera_card-note_3 = Découper la fenêtre, ou poser la mèche dessus.
eye-reads = { $mode  } : { $way ->
        [true] lit juste
        [light] lit { TENTHS($levels) } trop clair
       *[dark] lit { TENTHS($levels) } trop foncé
    } ; { WHOLE($pairs) } { $pairs ->
        [1] paire
       *[other] paires
    }

## Practice

event-FoilOpened = { $zone  } : ouvert pour regarder
event-asked = Découvert : { $topic  }
event-mishap = Réglé : { $mishap  }
event-mishap_left = Laissé : { $mishap  }
home_care-violet_shampoo = un shampooing violet
home_care-ash_shampoo = un shampooing cendré
home_care-minerals = eau dure
home_care-heat_tools = fers chauds
topic-reactions = réactions à la couleur
topic-history = ce qui a été fait avant
topic-home_care = ce qui est utilisé chez soi
topic-scalp = l'état du cuir chevelu
topic-stretch = l'étirement d'une mèche mouillée
topic-salts = un test des sels
practice_zone = Zone { WHOLE($number) }
practice_pieces = mèches
practice_head-first = Trois zones
    .about = Trois zones uniformes, 6 à 8. Pour apprendre le tableau.
practice_head-six = Six zones uniformes
    .about = Châtain moyen partout, 5 à 8.5, six zones en papier.
practice_head-light = Presque
    .about = Hauteur 7 à 9.5 : cela va vite, et la dernière prend autant que les deux d'avant.
practice_head-hairline = Contour délicat
    .about = Une tête moyenne, 5 à 8.5, cheveux fins à la nuque, frange et tempes.
practice_head-band = Une bande dans les longueurs
    .about = 7 à 9, avec une bande plus foncée où finissait une vieille couleur.
practice_head-coarse = Épais et foncé
    .about = Hauteur 3 à 7.5, épais, lent à prendre le produit.
practice_head-ends = Vieilles pointes
    .about = 5 à 9, pointes poreuses à 7.5 déjà décolorées.
practice_head-tint = « Jamais coloré »
    .about = 4 vers cuivré 7. La carte dit naturel.
practice_head-painted = Peint à l'air libre
    .about = Le devant peint à l'air libre, 6 à 8 : cela refroidit et sèche.
practice_head-stuck = Bloqué à l'orange
    .about = 4 à 8, et toutes les zones ne veulent pas y aller.
practice_head-evening = À la lampe
    .about = 6 à 9 sous une lampe jaune, où tout paraît plus clair et plus chaud.
practice_head-whole = Toute la tête
    .about = Douze zones, 5 à 9 glacé, contour délicat, une paire de mains.
practice_head-random = Une tête tirée d'une graine
    .about = Tirée de la graine, la même pour tous avec cette graine.
practice_head-past = Une tête passée
    .about = Une des têtes du studio telle que planifiée, sans son nom.
practice_answer-reactions = « Il y a deux ans, après une couleur, mon cuir chevelu a fait une éruption. Ça a démangé une semaine. »
practice_answer-reactions_none = « Non, je n'ai jamais rien eu avec une couleur. »
practice_answer-history = « Eh bien, un châtain en boîte, à la maison. Deux fois, au printemps. »
practice_answer-history_none = « Rien du tout, sauf ce qui est sur votre fiche. »
practice_answer-home_care = « J'utilise { $uses  }. »
practice_answer-home_care_none = « Juste un shampooing simple. »
practice_answer-scalp = Il est sensible par endroits, mais rien n'est lésé.
practice_answer-scalp_none = Il est sain.
practice_answer-stretch = Elle s'étire et revient lentement.
practice_answer-stretch_none = Elle s'étire d'un tiers et revient.
practice_answer-salts = La mèche chauffe en une minute et de petites bulles montent.
practice_answer-salts_none = Après une demi-heure, rien n'est arrivé à la mèche.
mishaps-stale = un bol périmé
mishaps-slipped = un papier qui a glissé
mishaps-dried = un produit qui a séché
mishaps-burns = un cuir chevelu qui brûle
mishaps-phone = le téléphone
mishaps-shampoo = un shampooing violet
mishap-stale = Le bol pour { $lane  } a épaissi : il est périmé.
mishap-slipped = Ce papier avait glissé, ouvert. Il est refermé.
mishap-dried = Le produit ici est sec : il s'est arrêté.
mishap-burns = « Ça brûle ! » { $lane  }.
mishap-phone = Le téléphone sonne. Répondre prend { WHOLE($minutes) } minutes.
mishap-shampoo = « J'aurais dû le dire : je lave au shampooing violet, hier encore. »
debrief_worked-all_on_target = { $count ->
        [one] La ligne a fini à une demi-hauteur de sa cible.
       *[other] Les { WHOLE($count) } lignes ont toutes fini à une demi-hauteur de leur cible.
    }
debrief_worked-most_on_target = { WHOLE($count) } lignes sur { WHOLE($of) } ont fini à une demi-hauteur de leur cible.
debrief_worked-some_on_target = { $count ->
        [one] Une ligne sur { WHOLE($of) } a fini à une demi-hauteur de sa cible.
       *[other] { WHOLE($count) } lignes sur { WHOLE($of) } ont fini à une demi-hauteur de leur cible.
    }
debrief_worked-walls = Aucun produit n'est resté au-delà de son étiquette.
debrief_worked-looks = { WHOLE($count) } regards, et presque aucun avant qu'il puisse dire quelque chose.
debrief_worked-eye = Vos { WHOLE($count) } lectures étaient justes : aucun biais notable.
debrief_worked-time = De la première section au dernier rinçage en { WHOLE($minutes) } min, pas plus que le conseil du tableau.
debrief_worked-burn = Ça a brûlé, et c'était rincé en { TENTHS($minutes) } min.
debrief_worked-tone = Chaque partie patinée est proche de son souhait.
debrief_worked-asked_reactions = Vous avez demandé les réactions et respecté ce qui est permis.
debrief_worked-asked_history = Vous avez demandé le passé : la fiche ignorait la vieille couleur.
debrief_worked-strand = Vous avez lu un test de mèche d'abord.
debrief_worked-declined = Le test des sels était positif et vous n'avez pas décoloré. C'était toute la tâche.
debrief_change-salts = Il y avait des sels métalliques, et du décolorant a été posé. Testez les sels quand l'historique est inconnu.
debrief_change-reacted = Cette personne réagit à l'oxydation, et un toner d'oxydation a été posé. Demandez les réactions et notez la réponse.
debrief_change-never_asked = Cette personne réagit à l'oxydation et vous n'avez pas demandé. Demandez à tous, à chaque fois.
debrief_change-burn = Ça a brûlé plus de trois minutes avant le rinçage. Rincez aussitôt, quelle que soit la hauteur.
debrief_change-passed_wall = { $count ->
        [one] { CAPITAL($lane) } a dépassé son étiquette.
       *[other] { WHOLE($count) } lignes ont dépassé leur étiquette, dont { $lane }.
    } Rincez à la limite, quelle que soit la hauteur.
debrief_change-unread = Vous avez rincé { WHOLE($count) } lignes sur { WHOLE($of) } sans un regard. Ouvrez chacune une fois avant de rincer.
debrief_change-eye_light = Vous avez lu environ { TENTHS($levels) } trop clair sur { WHOLE($count) } regards ({ $mode  }). Présentez d'abord la mèche à la teinte plus foncée.
debrief_change-eye_dark = Vous avez lu environ { TENTHS($levels) } trop foncé sur { WHOLE($count) } regards ({ $mode  }). Présentez d'abord la mèche à la teinte plus claire.
debrief_change-too_long = { CAPITAL($lane) } a dépassé sa cible de { TENTHS($levels) }. Rincez plus tôt.
debrief_change-too_soon = { CAPITAL($lane) } a été rincé { TENTHS($levels) } avant, et il restait du temps. Laissez plus longtemps.
debrief_change-planned_short = { CAPITAL($lane) } ne pouvait approcher à moins de { TENTHS($levels) } avec ce plan. Prévoyez plus de minutes, un bol plus fort ou une autre visite.
debrief_change-too_many_looks = { WHOLE($count) } regards quand { WHOLE($fewer) } auraient suffi. Chaque ouverture coûte de la chaleur et une main.
debrief_change-late = { CAPITAL($lane) } a été rincé { WHOLE($minutes) } min trop tard.
debrief_change-slow = Le dernier rinçage est venu { WHOLE($minutes) } min plus tard que le conseil du tableau.
debrief_change-slipped = Un papier a glissé sans que personne le voie avant le rinçage. Regardez tous les papiers de temps en temps.
debrief_change-dried = Du produit a séché sans être vu. Ce qui est sec s'est arrêté : rafraîchir, ou rincer.
debrief_change-stale = Un bol a été fini après être périmé. Mélangez-en un frais.
debrief_change-history = La fiche disait naturel, et personne n'a demandé. Il y avait une vieille couleur.
debrief_change-tone = La patine sur { $lane  } est loin du souhait. Relisez hauteur et chaleur avant de mélanger.
debrief_change-not_started = Rien n'a encore été posé : continuez, et revenez voir.
debrief_change-harder = Rien de grave. Essayez une tête plus difficile, ou la même avec moins d'aide.

## The command line

cli-min = min
cli-level = haut.
cli-colour = couleur
cli-undertone = Fond : { $undertone }. Chroma restant, le meilleur d'abord :
cli-plan = { $aim } : dernier rinçage { WHOLE($last) } min après le premier produit, { WHOLE($chair) } min au fauteuil, { $strengths } vol, { WHOLE($bowls) } bols.
cli-aim_simple = Simple
cli-aim_gentle = Doux
cli-aim_even = Uniforme
cli-aim_quick = Rapide
cli-no_strength = sans
cli-left_out = { $lane } : laissé de côté. { $why }
cli-again = Un second tour si l'étiquette le permet :
cli-mixing_list = Liste de mélange :
cli-pour = { WEIGHT_TENTHS($grams) } de { PLAIN($volume) } vol
cli-bowl = { WHOLE($at) } min : { WEIGHT_TENTHS($grams) } { $lightener }, { $pours }, pour { $lanes }
cli-visit = Passage { WHOLE($number) } au bac à { WHOLE($at) } min :
cli-lane = { $lane } : { PLAIN($volume) } vol, posé { WHOLE($start) }-{ WHOLE($end) }, prêt { $early }/{ $likely }/{ $late }, { $ending ->
        [wiped] essuyé
        [dried] séché
       *[rinsed] rincé
    } { WHOLE($rinse) }, limite { WHOLE($wall) } min, hauteur { TENTHS($level) }
cli-never = jamais
cli-tone_bowl = Bol { WHOLE($number) } : { WEIGHT_TENTHS($grams) } { $shades }, { $mixed }
cli-neat = pur
cli-tone_part = { $part } : bol { WHOLE($bowl) }, posé { WHOLE($on) }, rincé { WHOLE($off) } min, { TENTHS($difference) } au souhait
cli-learnt = { $lane } : { HUNDREDTHS($extent) } aussi loin, { HUNDREDTHS($rate) } aussi vite, prêt { $early } à { $late } min{ $odd ->
        [misfit] {" "}; lectures discordantes
        [stray] {" "}; comme aucun cheveu de son type
       *[none] {""}
    }
cli-help_fervens = Éclaircissement, couleur et plan en ligne de commande.
cli-help_curve = hauteur et couleur dans le temps
cli-help_neutralise = familles de colorants selon la couleur laissée
cli-help_plan = le plan d'un fichier de service
cli-help_tone = le toner des résultats d'un fichier de service
cli-help_advise = ce que conseille le fauteuil à une minute d'un fichier
cli-help_learn = ce qu'ont appris lectures et mèches d'un fichier
cli-help_batch = requêtes JSON sur l'entrée standard, une par ligne, une réponse par ligne
cli-help_reader = un lecteur de couleur simulé en boucle locale
cli-help_aim = simple, gentle, even ou quick ; sinon celui du fichier
cli-help_json = sortir du JSON

## Words of a typed line, parted by bars; all that this page calls a thing is one of them

shorthand-word_all = tout|toute la tête|tête|toutes
shorthand-word_but = sauf|sans|pas
shorthand-word_left = gauche
shorthand-word_right = droite|droit
shorthand-word_want = souhait|souhaité|voulu|cible|vers
shorthand-word_keep = laisser|garder|sans produit
shorthand-word_mm = mm
shorthand-word_and = et|+|&|à|est|sont|les|des|le|la
shorthand-word_level = hauteur|hauteurs|ton
shorthand-part_lengths = longueurs|longueur
shorthand-part_regrowth = repousse
shorthand-part_root = racine|racines
shorthand-part_band = bande|bandes
shorthand-part_ends = pointes|pointe
shorthand-history_virgin = naturel|vierge
shorthand-history_tinted = coloré|teint
shorthand-history_lightened = décoloré|méché
shorthand-history_direct_dye = colorant direct|ancien colorant
shorthand-history_henna = henné
shorthand-history_metallic = sels métalliques|sels
shorthand-history_unknown = inconnu
shorthand-porosity_low = résistant|pas poreux
shorthand-porosity_normal = porosité normale
shorthand-porosity_high = poreux|très poreux
