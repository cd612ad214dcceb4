# Español, como lo dicen los coloristas. The same messages as in en.ftl, which says what each function does.

## Words of the trade

undertone-deep_red_brown = marrón rojizo oscuro
undertone-red_brown = marrón rojizo
undertone-red = rojo
undertone-red_orange = rojo anaranjado
undertone-orange = naranja
undertone-yellow_orange = amarillo anaranjado
undertone-yellow = amarillo
undertone-pale_yellow = amarillo pálido
undertone-palest_yellow = amarillo palidísimo
dye_family-yellow = amarillo
dye_family-orange = naranja
dye_family-red = rojo
dye_family-violet = violeta
dye_family-blue = azul
dye_family-green = verde
dye_hue-red = rojo
dye_hue-pink = rosa
dye_hue-orange = naranja
dye_hue-yellow = amarillo
dye_hue-green = verde
dye_hue-blue = azul
dye_hue-violet = violeta
covering-open_air = aire libre
covering-foil = papel
covering-film = film
history-virgin = natural
history-tinted = teñido
history-lightened = decolorado
history-direct_dye = tinte directo
history-henna = henna
history-metallic = sales metálicas
history-unknown = desconocido
tone-icy = helado
tone-cool = frío
tone-neutral = neutro
tone-beige = beige
tone-warm = cálido
tone-gold = dorado
tone-copper = cobrizo
tone-red_brown = marrón rojizo
tone-rose = rosado
tone-silver = plata
tone-pearl = perla
tone-pastel = pastel
thickness-fine = fino
thickness-medium = medio
thickness-coarse = grueso
porosity-low = baja
porosity-normal = normal
porosity-high = alta
pastel-rose = rosa pastel
pastel-peach = melocotón
pastel-mint = menta
pastel-sky = celeste
pastel-lilac = lila
elasticity-returns = vuelve
elasticity-slow = lento
elasticity-stays_stretched = queda estirado
elasticity-snaps = se rompe
reading_mode-through_product = a través del producto
reading_mode-wiped = limpio con paño
reading_mode-rinsed_wet = enjuagado y mojado
reading_mode-dry = seco
grab-little = poco
grab-even = parejo
grab-much = mucho
hue-grey = gris
hue-pink = rosa
hue-red_warm = cálido rojizo
hue-orange_warm = cálido anaranjado
hue-golden = dorado
hue-yellow = amarillo
hue-khaki_warm = cálido caqui
hue-green = verde
hue-blue = azul
hue-violet = violeta
hue-faint = ligeramente { $hue  }
counter-red_or_pink = rojo o rosa
counter-two = { $first }-{ $second }
head-low_back = Nuca alta baja
head-high_back = Parte alta trasera
head-left_back = Lateral trasero izquierdo
head-right_back = Lateral trasero derecho
head-crown = Coronilla
head-left_side = Lado izquierdo
head-right_side = Lado derecho
head-top = Parte superior
head-nape = Nuca
head-fringe = Flequillo
head-left_temple = Sien izquierda
head-right_temple = Sien derecha
part-lengths = largos
part-regrowth = crecimiento
part-root = raíz
part-ends = puntas
part-band = banda
span-minutes = { $minutes } min
span-hours = { $hours } h
span-both = { $hours } h { $minutes }
vol = { PLAIN($volume) } vol
lane-part = { $zone } { $part }
lane-part_at = { $zone  } { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane_part-at = { $part  } { LENGTH_FIGURE($low) }–{ LENGTH($high) }
lane-piece = { $lane }, { $piece }
lane-again = { $lane  } otra vez
lane-shadow = { $lane  }, raíz sombreada
lane-because = { $lane }: { $why }
lanes = { $lanes }
lanes-more = { $lanes  } y { WHOLE($more) } más

## Cautions: a title, and what to do

caution = { $title }. { $advice }
caution-scalp_broken = Cuero cabelludo herido, irritado o quemado por el sol
    .advice = No decolorar. Nueva cita cuando haya sanado.
caution-elasticity = { $elasticity ->
        [snaps] Un mechón mojado se rompe
       *[stays_stretched] Un mechón mojado queda estirado
    }
    .advice = No decolorar. Primero cuidado y corte, luego otra prueba.
caution-metallic_salts = La prueba de sales es positiva
    .advice = No decolorar: las sales metálicas reaccionan con violencia al peróxido. El pelo tiene que crecer.
caution-build_up = Residuos de productos de casa
    .advice = Primero limpiar: lavar los residuos, volver a leer el pelo y marcarlo.
caution-scalp_sensitive = Cuero cabelludo sensible
    .advice = Lejos del cuero cabelludo; parar al primer ardor.
caution-elasticity_slow = Un mechón mojado vuelve despacio
    .advice = Oxidante más débil, menos tiempo, prueba de mechón.
caution-patch_test_open = Sin prueba de alergia leída a las { WHOLE($wait) } h
    .advice = El matizador oxidativo queda bloqueado; prever uno no oxidativo o reservar el matiz.
caution-reaction_open = Se dijo una alergia o reacción y no se preguntó por ella
    .advice = Preguntar: ¿al tinte oxidativo? Responder sí o no al lado; hasta entonces nada se planifica ni se matiza.
caution-allergies = Alergias indicadas
    .advice = «{ $told  }»: revisar cada etiqueta.
caution-medication = Medicación indicada
    .advice = Algunos medicamentos cambian piel y pelo: prueba de mechón y, en la duda, un médico.
caution-under_16 = Menor de { WHOLE($age) }
    .advice = El tinte oxidativo no es para menores de { WHOLE($age) }; la norma local decide lo demás.
caution-metallic_history = Sales metálicas en el historial del pelo
    .advice = No decolorar. Ese pelo tiene que crecer o cortarse.
caution-henna_untested = Henna, sin prueba de sales
    .advice = Antes que nada, la prueba de sales en un mechón cortado.
caution-unknown_untested = Historial desconocido, sin prueba de sales
    .advice = Antes que nada, la prueba de sales en un mechón cortado.
caution-henna = La henna aclara poco y desigual
    .advice = Primero prueba de mechón; prometer menos.
caution-elasticity_zone = Queda estirado o se rompe: { $lanes  }
    .advice = Dejarlas fuera, o cortar y cuidar primero y probar otra vez.
caution-breakage = Pelo que se parte: { $lanes  }
    .advice = Dejarlas fuera; primero cortar y cuidar.
caution-frail = No del todo sano: { $lanes  }
    .advice = Allí { WHOLE($most) } vol como mucho, poco tiempo y mirar a menudo.
caution-direct_dye = Verde o azul antiguo: { $lanes  }
    .advice = Solo 1,5 %, varias visitas; dejar fuera las piezas castañas; un resto verde se neutraliza con rojo o rosa.
caution-delicate = Pelo delicado: { $lanes  }
    .advice = Aclara rápido y se rompe: { WHOLE($most) } vol como mucho, más tarde y nunca todo el tiempo.
caution-frail_toned = Pelo que se rompe o queda estirado
    .advice = Solo lavados de pigmento y el oxidante más débil; primero cuidar.
caution-lightened = Pelo ya decolorado
    .advice = No solapar nunca el pelo ya claro; quedarse en el crecimiento.
caution-white_in_one = Blanco desde menos de altura { WHOLE($least) }
    .advice = Realista en una visita desde altura { WHOLE($least) }; acordar dos visitas o un objetivo más bajo.
caution-long_regrowth = Crecimiento de más de { LENGTH($most) }: { $lanes  }
    .advice = Dos aplicaciones de raíz previstas: primero lejos del cuero cabelludo, luego los últimos { LENGTH($most) }.
caution-old_ash = Resto violeta o azul: { $lanes  }
    .advice = Extraerlo antes de decolorar con resto de producto y champú, o un removedor; oculta la altura.
caution-uneven_ground = Dos clases de pelo a una altura: { $zones  }
    .advice = Pelo con mechas aclarado entero queda desigual: decirlo, o dar a cada clase su deseo.
caution-curl = El rizo se afloja al aclarar: { $lanes  }
    .advice = Avisar; peinar cada sección y añadir producto donde se lo bebió.
caution-grey = Canas, { PERCENT($share) }: { $lanes  }
    .advice = La cana queda más clara: acercar el resto y esperarla más fría tras el matizador.
caution-piece_base = Mantener limpia la base de la pieza
    .advice = El producto en nudos, encaje o costuras traspasa y debilita: empezar lejos de la base, en plano.
caution-fill_first = Más de { WHOLE($most) } alturas más oscuro: { $lanes  }
    .advice = Prepigmentar antes con pigmento cálido, o en días queda verde y a manchas.
caution-no_strand_test = Sin prueba de mechón
    .advice = El pelo ya trabajado aclara a su modo: probar un mechón oculto, el plan aprende de él.
caution-professional_use = Etiqueta, guantes, aire
    .advice = Seguir etiqueta y ficha de seguridad; guantes, aire fresco, mezclar el polvo sin levantarlo. Ardor: agua fresca enseguida. Ojos: enjuagar 15 min y pedir ayuda.
caution-toning_use = Etiqueta, guantes, piel
    .advice = Seguir etiqueta y ficha del matizador; guantes, crema barrera, sin calor. Ardor: agua fresca enseguida. Ojos: enjuagar 15 min y pedir ayuda.
toner_block-dye_reaction = Reaccionó al tinte oxidativo
    .advice = Solo champú y acondicionador con pigmento.
toner_block-under_16 = Menor de { WHOLE($age) }
    .advice = El tinte oxidativo no es para menores de { WHOLE($age) }.
toner_block-reaction_open = Se dijo una alergia o reacción
    .advice = Preguntar si fue tinte oxidativo y responder en la consulta; hasta entonces solo champú con pigmento.
toner_block-patch_test = Prueba de alergia sin leer
    .advice = Ponerla, leerla a las { PLAIN($wait) } h, o tomar un tono no oxidativo.
toner_block-patch_test_old = Prueba de alergia demasiado antigua
    .advice = Poner una nueva y leerla a las { PLAIN($wait) } h.
toner_block-patch_test_early = Prueba de alergia de menos de { PLAIN($wait) } h
    .advice = Esperar, o tomar un tono no oxidativo.

## What sets how strong a developer may be

volume_limit-hair = { WHOLE($most) } vol es lo máximo para el pelo
volume_limit-label = etiqueta de { $product  }
volume_limit-scalp = en el cuero cabelludo, etiqueta de { $product  }
volume_limit-delicate = pelo delicado
volume_limit-lightened = pelo ya decolorado
volume_limit-porous = pelo poroso
volume_limit-fine = pelo fino
volume_limit-frail = pelo no del todo sano
volume_limit-old_dye = el tinte directo antiguo se quita con 1,5 %
volume_limit-strongest_bottle = botella más fuerte del estante
volume_limit-gentle = el objetivo suave

## What may go on today

stop-scalp_burns = El cuero cabelludo arde: enjuagar enseguida con agua fresca
stop-hair_gives = { $elasticity ->
        [snaps] El pelo se rompe: enjuagar enseguida
       *[stays_stretched] El pelo queda estirado: enjuagar enseguida
    }
heat_block-label = La etiqueta de { $product  } no permite calor.
heat_block-scalp = Esta zona llega al cuero cabelludo: sin calor en la piel.
refresh_block-label = La etiqueta de { $product  } permite { $most ->
        [1] una aplicación
       *[other] { WHOLE($most) } aplicaciones
    } por visita.
again_block-toned = ya está matizado
again_block-scalp_burns = el cuero cabelludo arde: enjuagar enseguida con agua fresca
again_block-hair_gives = { $elasticity ->
        [snaps] el pelo se rompe: enjuagar enseguida
       *[stays_stretched] el pelo queda estirado: enjuagar enseguida
    }
again_block-elasticity = el pelo estirado no vuelve sin más
again_block-scalp = se notó el cuero cabelludo
again_block-twice = ya decolorado dos veces hoy
again_block-contact = llevó producto { WHOLE($minutes) } min hoy; pasados { WHOLE($most) } min se deja en paz
again_block-label = la etiqueta de { $product  } permite { $most ->
        [1] una aplicación
       *[other] { WHOLE($most) } aplicaciones
    } por visita
again_block-no_gain = ningún oxidante ganaría bastante dentro de sus límites
again_block-little_gain = solo llegaría a { TENTHS($end) }

## The strand bench

head_move-as_expected = Esta cabeza aclara como se esperaba
head_move-moved = Esta cabeza aclara { $ways  } de lo esperado
head_move-far_more = un { WHOLE($percent) } % más
head_move-far_less = un { WHOLE($percent) } % menos
head_move-fast_more = un { WHOLE($percent) } % más rápido
head_move-fast_less = un { WHOLE($percent) } % más despacio

## The verdict

verdict_title-unread = Leer la cabeza
verdict_title-today = Adelante hoy
verdict_title-tone = Matizar hoy
verdict_title-deepen = Oscurecer hoy
verdict_title-strand_test = Probar mechones hoy
verdict_title-clarify = Limpiar primero
verdict_title-not_today = Hoy no
verdict_title-never = No en seis visitas
verdict_title-more_time = Más tiempo, o dos visitas
verdict_title-visits = En { WHOLE($visits) } visitas
verdict-undertone = { $zone  }: leído { LEVEL($read) }, pero { $seen  } es lo que muestra un { WHOLE($nearest) }: leer otra vez en seco.
verdict-stays = { $lane  }, { LEVEL($start) } a { LEVEL($target) }: queda cerca de { TENTHS($level) } tras { WHOLE($visits) } visitas. Bajar el deseo.
verdict-more_visits = { $lane  }, { LEVEL($start) } a { LEVEL($target) }: prometer { TENTHS($sure) } hoy ({ TENTHS($level) } es probable), el deseo en la visita { WHOLE($visit) }.
verdict-two_rounds = Dos rondas hoy, donde la etiqueta lo permita: { $lanes  } otra vez tras el enjuague, hasta cerca de { TENTHS($level) }.
verdict-every_zone = Cada zona llega hoy a su altura, dentro del tiempo de la etiqueta.
verdict-unsure = { $lane  }: prometer { TENTHS($sure) }, esperar { TENTHS($likely) }. Una prueba de mechón lo acota.
verdict-time = Unas { SPAN($needed) } en el sillón.
verdict-time_long = Unas { SPAN($needed) } en el sillón: un día largo para ambos. Menos zonas, dos visitas u otro par de manos.
verdict-time_within = Unas { SPAN($needed) } en el sillón; { $of ->
        [booked] { SPAN($limit) } reservadas
       *[has] el cliente tiene { SPAN($limit) }
    }.
verdict-time_over = Unas { SPAN($needed) } en el sillón, { $of ->
        [booked] { SPAN($limit) } reservadas
       *[has] el cliente tiene { SPAN($limit) }
    }: menos zonas, más tiempo o dos visitas.
verdict-no_patch_test = Sin prueba de alergia clara: hoy solo un matizador no oxidativo.
verdict-empty_shelf = El estante no tiene decolorante u oxidante: no se puede planificar nada.
verdict-tone_parts = { $parts ->
        [1] Una parte va
       *[other] { WHOLE($parts) } partes van
    } al lavacabezas como se leyeron; nada se decolora.
verdict-deeper = { $lanes  }: { LEVEL($levels) } alturas más oscuro como mucho, lejos del cuero cabelludo si se puede.
verdict-nothing_deeper = Nada se desea más oscuro: poner una altura más baja a una zona o parte.
verdict-strand_test = { $strands ->
        [one] Un mechón indicado
       *[other] { WHOLE($strands) } mechones indicados
    }: prepararlos en el banco de mechones, cada uno con su oxidante; nada más se decolora.
verdict-old_dye = El verde o azul antiguo se va en varias visitas: { $lanes  }. Lo que quede hoy se gira con un poco de rojo o rosa.
verdict-nothing_to_lift = Ninguna zona tiene que aclarar: poner una altura más clara o pasar al matiz.
reach-all = todas a { LEVEL($level) }
reach-lanes = { $lanes  } a { LEVEL($level) }
reach-many = { WHOLE($count) } zonas a { LEVEL($level) }
chair_time-consultation = consulta y mezcla
chair_time-applying = aplicación
chair_time-between = pases al lavacabezas entre medias
chair_time-again = una segunda ronda
chair_time-processing = exposición y cambios de zona
chair_time-rinse = último enjuague
chair_time-tone = matiz
chair_time-care = cuidado
chair_time-drying = secado

## The plan

order-coarse = el pelo grueso resiste: primero
order-low_porosity = la porosidad baja resiste: primero
order-history = el pelo ({ $history  }) resiste: primero
order-delicate = delicado: al final y más débil
order-usual = en el orden usual, de atrás a delante
order-cools = se enfría al aire: primero
kept-at_level = queda como está, en { LEVEL($level) }
kept-left_out = fuera, sin producto
kept-deeper = se oscurece, a { LEVEL($level) }, con matizador
plan-meeting = { $meeting ->
        [soft] La línea es suave: difuminar el borde y mirar la unión cada 10 a 15 min.
       *[jagged] La línea es irregular: quedarse corto, seguirla pelo a pelo y mirar allí cada 10 a 15 min.
    }
plan-two_root_lanes = { LENGTH($regrowth) } de crecimiento harían banda en una sola aplicación de más de { LENGTH($most) }: primero lejos del cuero cabelludo, luego los últimos { LENGTH($most) }.
aim_why-simple = { $strengths  } vol, { $bowls ->
        [one] un bol
       *[other] { WHOLE($bowls) } boles
    }.
aim_why-simple_beside = { $strengths  } vol en todo; { $other  } ahorraría { WHOLE($minutes) } min.
aim_why-gentle = { PERCENT($share) } menos de contacto que sencillo.
aim_why-even = Todas a { TENTHS($levels) } de su deseo entre sí, { TENTHS($other) } con sencillo.
aim_why-quick = { WHOLE($minutes) } min antes que sencillo.
plan-held = { PLAIN($asked) } vol pedidos, se queda en { PLAIN($volume) } ({ $limit  }).
plan-raised = { PLAIN($asked) } vol pedidos, subido a { PLAIN($volume) } (botella más débil del estante).
plan_short-stronger = { PLAIN($volume) } vol no aclaran tanto; aquí se permiten hasta { PLAIN($most) } vol.
plan_short-stops = Este pelo se queda corto con { PLAIN($volume) } vol ({ $limit  }): bajar el objetivo o prever otra visita.
plan-known_head = { $visits ->
        [one] Última visita
       *[other] { $visits  } visitas
    }: { $move  }
plan_short-stalls = Un pelo así se estanca cerca de { TENTHS($level) } en una visita, dure lo que dure: prever otra visita o bajar el objetivo.
plan_short-label = Los { PLAIN($label) } min de la etiqueta acaban antes de sus últimas secciones: trabajar por filas, con menos secciones u otra visita.
plan_short-later_or_stronger = { PLAIN($volume) } vol necesitarían más tiempo; aquí se permiten hasta { PLAIN($most) } vol.
plan_short-later = { PLAIN($volume) } vol ({ $limit  }) necesitarían más de lo que deja su pase.
left_out-no_weak_bottle = { $why  } permite { PLAIN($most) } vol, la botella más débil tiene { PLAIN($weakest) } vol: poner una más débil en el estante.
mix-add_developer = { TENTHS($volume) } vol en vez de { PLAIN($wanted) }: añadir { WEIGHT($grams) } de { PLAIN($bottle) } vol.
mix-anew = { TENTHS($volume) } vol en vez de { PLAIN($wanted) }: mezclar de nuevo.
mix-thin = Líquido, 1 : { HUNDREDTHS($parts) }: añadir { WEIGHT($grams) } de decolorante.
mix-thick = Espeso, 1 : { HUNDREDTHS($parts) }: añadir { WEIGHT($grams) } de oxidante.

## The chair

advice-label_up = Se acabó el tiempo de la etiqueta: enjuagar ya
advice-ready = Listo: enjuagar esta zona
advice-leave = Dejarlo
advice-leave_sure = Dejarlo; luego seguro para enjuagar
advice-leave_as_sure_as = Dejarlo; otra mirada no diría más
advice-misfit = Estas lecturas no cuadran: limpiar, secar y leer otra vez
advice-leave_to_label = Dejarlo hasta el tiempo de la etiqueta
advice-read = Limpiar y leer
advice-read_first = Limpiar y leer un primer papel
advice-stops_near = Para cerca de { TENTHS($level) } al acabar la etiqueta: prever un tono más oscuro u otra visita
advice-stops_near_help = Para cerca de { TENTHS($level) } al acabar la etiqueta: { $ways  } u otra visita
short_help-refresh = refrescar
short_help-warm = calentar
short_help-deeper = un tono más oscuro
act-stop = Enjuagar { $lane  } ya
act-rinse = Enjuagar { $lane  }
act-wipe_out = Retirar { $lane  } con paño
act-dry_out = Secar o limpiar { $lane  }
act-rinse_two = Enjuagar { $lanes  }
act-rinse_together = Enjuagar { WHOLE($count) } zonas juntas
act-read = Limpiar y leer { $lane  }
act-short = { $lane  } se quedará corto
act-finish = Terminar de aplicar { $lane  }
act-finish_refresh = Terminar el producto nuevo en { $lane  }
act-start = Empezar { $lane  }
act-mix = Mezclar el bol para { $lane  }
act-new_bowl = Bol nuevo para { $lane  }
act-should_look = debería verse como { LEVEL($level) }, { $undertone  }
act-target = Objetivo { LEVEL($target) }
act-read_again = Estas lecturas no cuadran: limpiar, secar, leer otra vez; { $seen  }
act-read_at = Leído en { LEVEL($level) }; objetivo { LEVEL($target) }
act-read_at_last_foils = Leído en { LEVEL($level) }; objetivo { LEVEL($target) }; últimos papeles, mirarlos primero
act-bowl_is_stale = este bol tiene { WHOLE($age) } min, dura { WHOLE($life) }: lo que queda aclara menos
act-clock_starts = { PLAIN($volume) } vol, última sección puesta: empieza su reloj
act-to_apply = { PLAIN($volume) } vol, { WHOLE($minutes) } min de aplicación
act-review = Todas las zonas enjuagadas: revisar
    .detail = Secar un poco, leer cada zona
act-basin = Ahora en el lavacabezas
    .detail = Allí están el matizador y sus relojes
note-own_product = { $product }
note-misfit = leer otra vez en seco
note-stray = aclara como ningún pelo de su clase
note-warmed = calentado
note-refreshed = { $times ->
        [1] refrescado
       *[other] refrescado { WHOLE($times) } veces
    }
note-dried = seco, parado
note-barrier = barrera
note-open_air = aire libre, se seca
note-dragged = producto arrastrado
note-stale_bowl = bol pasado, aclara un { PERCENT($lost) } menos
note-scalp_warm = cuero cabelludo caliente
note-returns_slowly = vuelve despacio
note-last_foils = últimos papeles
option-refresh = Refrescar con { PLAIN($volume) } vol
option-cool = Quitar el calor
option-warm = Calentar
option-barrier = Dejarlo de barrera, siguen las raíces
option-pull_out = Sacar de: { $covering  }
option-cover = Cubrir con papel
option-drag = Arrastrar producto a las puntas
option-label_runs = { $lane  }: corre su tiempo de etiqueta
option-dry = Secarlo
option-stops_at = para en { TENTHS($level) }; el tiempo de la etiqueta sigue
effect-as_before = listo como antes
effect-sooner = listo { WHOLE($minutes) } min antes
effect-later = listo { WHOLE($minutes) } min después
effect-ready_in = listo en unos { WHOLE($minutes) } min
effect-reaches = llega a { TENTHS($level) } al acabar la etiqueta
replan-change = { PLAIN($before) } → { PLAIN($volume) } vol para { $lane  }
replan-lifts_more = { $lane  } aclara un { PERCENT($share) } más de lo esperado: { $change  }
replan-lifts_less = { $lane  } aclara un { PERCENT($share) } menos de lo esperado: { $change  }
replan-early = Va { WHOLE($minutes) } min antes de lo previsto: { $change  }
replan-read = Lo leído lo mueve: { $change  }

## The review

band = { $facts }
band-beside_zone = el resto de la zona
band-beside_head = la mayor parte de la cabeza
band-rest = resto { $hue  } { $amount ->
        [faint] leve
        [clear] claro
       *[strong] fuerte
    }
band-darker = { TENTHS($levels) } { $levels ->
        [1] altura
       *[other] alturas
    } más oscuro que { $beside  }
band-lighter = { TENTHS($levels) } { $levels ->
        [1] altura
       *[other] alturas
    } más claro que { $beside  }
band-warmer = más cálido que { $beside  }
band-cooler = más frío que { $beside  }
band-difference = diferencia { WHOLE($difference) }
band-width = { LENGTH($mm) } de ancho
band-whole_zone = toda la zona
way-tone = Matizar ya
way-again = Decolorar otra vez hoy
way-visit = Otra visita
way-lower = Bajar el deseo
way_tone-on_target = En el objetivo
way_tone-short = faltan { TENTHS($short) } { $short ->
        [1] altura
       *[other] alturas
    }: matizado a esta profundidad
way_tone-formula = { $formula }, { WHOLE($minutes) } min, diferencia { TENTHS($away) } con el deseo
way_again-gain = { TENTHS($level) } → cerca de { TENTHS($end) }, { WHOLE($so_far) } min de producto hasta ahora
way_again-not_planned = no se puede planificar, { WHOLE($so_far) } min de producto hasta ahora
way_visit-later = Matizar ya en { LEVEL($level) }; las últimas { TENTHS($short) } alturas cuando el pelo haya descansado
way_lower-even = Toda la cabeza a { LEVEL($level) }: parejo hoy
review-read_first = Leer { $lane  }{ $more ->
        [0] {""}
       *[other] {" "}y { WHOLE($more) } más
    } en seco o húmedo primero.
review-again = Decolorar otra vez hoy: { $lanes  }. El resto espera su matizador.
review-later = Matizar ya; { $lanes  } puede ir más allá en otra visita.
review-on_target = Todo en el objetivo: matizar ya.

## The tone

tone-counter = { CAPITAL($undertone) } en { LEVEL($level) }: { $counter  }; solo { $instead  } lo dejaría { $left  }
tone-counter_rest = Un resto { $rest  } sobre { $undertone  } en { LEVEL($level) }: { $counter  }; solo { $instead  } lo dejaría { $left  }
tone-empty_shelf = No hay matizador en el estante.
gives_up-nearest = lo más cerca que llega este estante
gives_up-apart = menos parejo, en { TENTHS($apart) }
gives_up-away = { TENTHS($away) } más lejos de los deseos
gives_up-worst = una parte { TENTHS($away) } más lejos de su deseo
gives_up-nothing = no pierde nada
gives_up-gains = { TENTHS($away) } más cerca, no vale otro bol
tone_act-apply = Bol { WHOLE($bowl) } puesto: { $lanes  }
tone_act-stop = Enjuagar el matizador, acabó su tiempo: { $lanes  }
tone_act-emulsify = Emulsionar: { $lanes  }
    .detail = manos húmedas, trabajarlo hasta las puntas
tone_act-strand = Enjuagar un mechón bajo y mirar: { $lanes  }
    .detail = volver a cubrirlo después
tone_act-rinse = Enjuagar el matizador: { $lanes  }
tone_act-bowl = { $formula  }, { $parts ->
        [1] { WHOLE($most) } min
       *[other] una tras otra; la primera { WHOLE($most) } min, la última { WHOLE($least) } min
    }
tone_act-should_look = debería verse así: { $formula  }
would_reach-shade = { $family  }, profundidad { LEVEL($level) }, mezcla 1:{ PLAIN($parts) }, llegaría
would_reach-lighter = ningún tono: el pelo tiene que estar en { LEVEL($level) } para eso
would_reach-drawn_out = extraer primero el resto ({ $rest  }), entonces sí
would_reach-nothing = ningún tono: desear otro color
tone-much = { WEIGHT($grams) } en total, más que los 60 a 120 usuales: { WHOLE($parts) } partes de pelo largo o denso
tone-taught_by = según un mechón de { $lanes  }
tone-fill = Rellenar primero { $lanes  } con { $warm ->
        [copper] un cobrizo dorado cálido
       *[red_brown] un marrón rojizo cálido
    }, 10 min, retirado: un pelo tan claro no sujeta el tono oscuro sin ello.
toner_warning-looks_dark = Solo parece oscuro: ha entrado cerca del { PERCENT($share) } del tinte.
    .help = El producto oculta el resultado: enjuagar un mechón bajo, mirar y volver a cubrir si hace falta.
toner_warning-hidden = El producto oculta el resultado: enjuagar un mechón bajo y mirar antes de enjuagarlo todo.
remedy-counter = Neutralizar con rojo o rosa
remedy-deeper = Más oscuro, neutro
remedy-toward_ends = Matizar el resto hacia estas puntas
remedy-warm = Calentar el tono de estas puntas
remedy-draw_out = Extraer primero: resto de decolorante con champú, o removedor
probe-same = Antes de la sonda: { $before  }, { WHOLE($minutes_before) } min. Ahora lo mismo { WHOLE($minutes) } min.
probe-moved = Antes de la sonda: { $before  }, { WHOLE($minutes_before) } min. Ahora { $now  }, { WHOLE($minutes) } min; ceniza { PERCENT($ash_before) } → { PERCENT($ash) } del tinte, dorado y neutro { PERCENT($warm_before) } → { PERCENT($warm) }.

## Afterwards

next_visit-closed = El estudio está cerrado el { DAY($day) }
next_visit-rests = El pelo descansa seis semanas antes de aclararse más
next_visit-rests_long = El pelo descansa seis semanas antes de aclararse más; el crecimiento pasará de { LENGTH($most) } y se hace en dos carriles
next_visit-roots = Justo antes de que el crecimiento pase de { LENGTH($most) }: una aplicación de raíz, sin banda
next_visit-taught = los mechones han enseñado cómo aclara esta cabeza: ya se puede planificar
next_visit-tone = Nada que retocar en la raíz: se refresca el matiz
reminder = Su visita es el { DAY($on) }. { $begin  }, por favor, nada de { $hair ->
        [toned] champú y acondicionador violeta, azul o ceniza
       *[plain] champú ni acondicionador con color
    }, ni tinte de caja, ni henna, y ni aceites ni champú seco los dos últimos días. Lave el día antes con un champú sencillo. Díganos cualquier medicina, alergia o irritación nueva.
reminder-from_now = Desde ahora
reminder-from_day = Desde el { DAY_OF_YEAR($day) }
last_time = { $ran }: { $did }; { $then }
last_time-ran = { PLAIN($volume) } vol, { WHOLE($minutes) } min
last_time-ran_in_more = { PLAIN($volume) } vol, { WHOLE($minutes) } min en { WHOLE($applications) } aplicaciones
last_time-ran_past_label = { PLAIN($volume) } vol, { WHOLE($minutes) } min, pasada la etiqueta
last_time-came_to_target = llegó al objetivo
last_time-came_short = quedó { TENTHS($levels) } corto
last_time-came_past = pasó por { TENTHS($levels) }
last_time-same_again = lo mismo otra vez
last_time-corrected = { WHOLE($volume) } vol durante { WHOLE($minutes) } min
last_time-most = { WHOLE($volume) } vol durante { WHOLE($minutes) } min es lo máximo de una aplicación: dos aplicaciones u otra visita
gain-touch = un toque
gain-steps = { $count ->
        [1] un tono
        [2] dos tonos
        [3] tres tonos
        [4] cuatro tonos
        [5] cinco tonos
       *[other] seis tonos
    }
gain-several = varios tonos
handout-done = Lo que hicimos
handout-nothing_done = Miramos su pelo y planificamos juntos.
handout-lightened = Aclaramos: { LOWER($lanes) }, { $gain  }.
handout-palest = Debajo, lo más claro es ahora: { $undertone  }.
handout-toned = Lo matizamos hacia { $tones  }.
handout-short = Aún no está donde queremos: el resto vendrá en otra visita, cuando el pelo haya descansado.
handout-care = Cómo cuidarlo
    .wash = Espere 48 horas al primer lavado; luego lave poco, con agua tibia y champú suave.
    .care = Acondicionador siempre, y un tratamiento de enlaces o proteína por semana durante cuatro semanas.
    .heat = Protéjalo del calor, sol, cloro y agua salada; séquelo con cuidado y péinelo desde las puntas.
    .fades = El matiz se va en semanas. Si se vuelve cálido, ayuda un acondicionador violeta por semana, hasta que le digamos.
handout-watch = Cuándo llamar
    .skin = Si el cuero cabelludo arde, hace ampollas o pica más de un día, o se hincha la cara: enjuague con agua fresca y vaya al médico.
    .hair = Si el pelo se rompe o mojado se estira como goma: ni calor ni color, y llámenos.
handout-before_next = Antes de la próxima visita
handout_tone-icy = un blanco helado
handout_tone-cool = un tono frío
handout_tone-neutral = un tono neutro
handout_tone-beige = un beige
handout_tone-warm = un tono cálido
handout_tone-gold = un tono dorado
handout_tone-copper = un cobrizo
handout_tone-red_brown = un marrón rojizo
handout_tone-rose = un rosado
handout_tone-silver = un tono plata
handout_tone-pearl = un tono perla
handout_tone-pastel = un tono pastel

## Limits: how a field must be

limit-number = un número
limit-finite = un número finito
limit-whole = un número entero
limit-flag = verdadero o falso
limit-string = un texto
limit-given = indicado
limit-list = una lista
limit-object = un objeto JSON
limit-known_field = un campo conocido aquí
limit-field_of = un campo de { $kind  } ({ $known  })
limit-one_of = uno de { $known  }
limit-one_of_zones = una de las zonas { $known  }
limit-made_of = hecho de { $known  }
limit-other = de otra clase ({ $code  })
limit-from = { PLAIN($least) } o más
limit-up_to = { PLAIN($most) } o menos
limit-shorthand_empty = una línea como 5 todo, puntas 8.5, deseo 9
limit-shorthand_says_nothing = una altura, un historial, una porosidad o mm en cada frase
limit-shorthand_word = zonas, partes, alturas e historial, en palabras de esta página
limit-longest = como mucho { WHOLE($most) } caracteres
limit-shortest = al menos { WHOLE($least) } caracteres
limit-at_most_so_many = una lista de { WHOLE($most) } como mucho
limit-at_least_so_many = una lista de al menos { WHOLE($least) }
limit-moment = un momento, como 2026-01-31T09:30:00Z
limit-closed_last = no antes del primer día, como mucho { $most } días en total
limit-date = un día, como 2026-01-31
limit-text = de 1 a { WHOLE($most) } caracteres
limit-range = { $unit ->
    [g] un número de { WEIGHT_FIGURE($low) } a { WEIGHT_TENTHS($high) }
    [mm] un número de { LENGTH_FIGURE($low) } a { LENGTH($high) }
   *[other] un número de { PLAIN($low) } a { PLAIN($high) }{ $unit ->
        [level] {" "}(altura)
        [parts] {" "}partes por una
        [vol] {" "}vol
        [min] {" "}min
        [h] {" "}h
        [K] {" "}K
        [pairs] {" "}pares de manos
        [rows] {" "}filas
        [sections] {" "}secciones
        [levels] {" "}alturas
        [degrees] {" "}grados
        [years] {" "}años
        [days] {" "}días
        [none] {""}
       *[other] {" "}{ $unit }
    }
}
limit-count = de { WHOLE($least) } a { WHOLE($most) } { $noun ->
        [lab] números: L*, a*, b*
        [zones] zonas
        [lanes] carriles
        [parts] partes
        [readings] lecturas
        [visits] pases
        [strands] mechones
        [toners] matizadores
        [lighteners] decolorantes
        [developers] oxidantes
        [events] actos
        [eyes] ojos
        [kinds] tipos de pelo
        [areas] superficies
        [closed] festivos y descansos
       *[other] { $noun }
    }
limit-patches = cada parche de la tarjeta; falta: { $missing  }
limit-a_shade = el color de un tono sobre el pelo más claro; este no lo es
limit-lab = tres números: L*, a*, b*
limit-above_zero = mayor que 0
limit-time_zone = un momento con zona horaria
limit-day = un día de { $low  } a { $high  }, como 2026-01-31
limit-most_lines = como mucho { WHOLE($most) } líneas
limit-yes_no = sí, no o nada
limit-no_control = sin caracteres de control
limit-no_dot = sin punto
limit-at_least_one = al menos uno
limit-at_most_max_volume = como mucho max_volume { PLAIN($most) } vol
limit-given_for_oxidative = indicado para un tono oxidativo
limit-only_for_wash = 0: solo se diluye un lavado de pigmento
limit-nothing_for_wash = nada para un lavado de pigmento: nunca va con peróxido
limit-one_dye_family = al menos una familia de tinte
limit-sum_of_shares = partes que sumen 1
limit-not_below_start_level = en la altura inicial { PLAIN($level) } o por encima
limit-past_its_start = después de su inicio, { LENGTH($least) }
limit-after_the_part_before = donde acaba la parte anterior o después, { LENGTH($least) }
limit-within_length = dentro del largo del pelo, { LENGTH($most) }
limit-most_lanes = como mucho { WHOLE($most) } carriles
limit-most_zones = como mucho { WHOLE($most) } zonas
limit-most_strands = como mucho { WHOLE($most) } mechones
limit-most_measurements = como mucho { WHOLE($most) } mediciones
limit-most_clients = como mucho { WHOLE($most) } clientes
limit-one_or_two_shades = un tono o dos
limit-one_each_shade = { WHOLE($count) } valores, uno por tono
limit-one_each_zone = { WHOLE($count) } valores, uno por zona
limit-both_oxidative = ambos oxidativos, o ninguno
limit-times_of_both_labels = tiempos que permitan ambas etiquetas ({ $shades  })
limit-share_of_second = 1 con un tono, menos de 1 con un segundo
limit-one_for_this_person = al menos uno permitido en esta persona
limit-one_developer = al menos un oxidante
limit-one_developer_on_shelf = al menos un oxidante en el estante
limit-least_developer = al menos { WEIGHT_TENTHS($least) } de oxidante
limit-bottles = de { PLAIN($low) } a { PLAIN($high) } vol (botellas del estante)
limit-different_keys = zonas con claves distintas
limit-different_from_others = distinto de los otros: { $name  }
limit-another_lane = otro carril que zone_key
limit-given_or_scalp = indicado, o cuero cabelludo
limit-services_filed = al menos { WHOLE($least) } archivados con este producto
limit-event = un suceso con su clase y sus datos
limit-given_to_plan = indicado en un archivo que se va a planificar
limit-versions = { $known  }, las versiones que lee este programa
limit-columns = las columnas { $columns  }
limit-cells = { WHOLE($count) } celdas
limit-values = { WHOLE($count) } valores
limit-quotes_in_pairs = comillas en pares
limit-with = con { $names  }
limit-with_before_data = con { $names  }, antes de los datos
limit-one_measurement = al menos una medición
limit-same_facts = los mismos datos en cada línea de { $strand  }
limit-minute_and_level = minuto y altura, o ninguno
limit-on_shelf = un decolorante del estante
limit-none_on_shelf = ninguno en el estante
limit-as_kept = como lo guarda este programa
limit-from_today_within_two_years = un momento desde hoy, dentro de dos años
limit-after_last_within_two_years = un momento con zona horaria tras la última visita, dentro de dos años
limit-open_day = un día en que el estudio está abierto
limit-within_a_year = un momento futuro, dentro de un año
limit-within_two_days = un momento con zona horaria en los dos últimos días
limit-years_away = un momento con zona horaria, a { WHOLE($most) } años como mucho
limit-moment_between = un momento con zona horaria, de { $low  } a { $high  }
limit-not_in_future = no en el futuro
limit-all_zones_once = todas las zonas una vez ({ $zones  })
limit-different_keys_of = { $field  } con claves distintas
limit-client_name = el nombre del cliente, { $name  }
limit-field_of_model = como se dijo: { $why  }
limit-password = más fuerte: { $why  }
limit-own_password = su contraseña actual
limit-another_password = distinta de la anterior
limit-email = una dirección como nombre@studio.example
limit-code_of_phone = las seis cifras que muestra ahora su teléfono
limit-most_links = como mucho { WHOLE($most) } vigentes; revoque uno antes
limit-most_of_a_kind = como mucho { WHOLE($most) } de una clase
limit-no_zone_open = ninguna: ninguna zona lleva producto aún
limit-first_of_bad_lines = { $limit  } (la primera de { WHOLE($count) } líneas malas)
limit-given_for = indicado para { $of  }
limit-json = JSON ({ $why  })
limit-json_body = JSON
limit-utf8 = texto en UTF-8
limit-readable_file = un archivo legible ({ $why  })
limit-most_bytes = como mucho { WHOLE($most) } bytes
limit-file_of_bytes = un archivo de 1 a { WHOLE($most) } bytes
limit-most_pixels = como mucho { WHOLE($most) } píxeles
limit-picture = una imagen ({ $formats  })
limit-jpeg = una imagen JPEG
limit-depth = como mucho { WHOLE($most) } niveles
limit-plain_text = un texto sin NUL ni sustitutos sueltos
limit-plain_keys = claves sin NUL ni sustitutos sueltos
limit-finite_only = solo números finitos
limit-format = { $format  } versión { WHOLE($version) }
limit-member = un miembro con usuario y función
limit-client_of_archive = un cliente de este archivo
limit-on_archives_shelf = en el estante de este archivo
limit-step_of_log = { $step  }, como dice su registro
limit-studio_settings = los ajustes de un estudio
limit-entry_once = cada entrada una vez
limit-archive_entries = entradas { $names  } y photos/*.jpg
limit-not_encrypted = sin cifrar
limit-packed = como mucho { WHOLE($most) } bytes, comprimidos { WHOLE($ratio) } : 1
limit-unpacked = como mucho { WHOLE($most) } bytes descomprimidos
limit-most_entries = como mucho { WHOLE($most) } entradas

## Errors: what happened, what is kept, what to do

problem-401 = Sesión cerrada
problem-403 = No permitido
problem-404 = No encontrado
problem-409 = No encaja
problem-422 = Fuera de límites
problem-other = Error
error-already_again = Esta zona ya se decolora otra vez.
error-already_barrier = El producto de esta zona ya es una barrera.
error-already_begun = Ya se trabajó en este servicio; su registro queda. Archívelo.
error-already_dry = Esta zona ya se secó.
error-already_emulsified = Ya se emulsionó.
error-already_here = Algunas filas de este archivo ya están aquí.
error-already_rinsed = Esta zona ya se enjuagó.
error-already_started = Esta zona ya se empezó.
    .plan = Ya hay producto en el pelo; el plan no se puede tomar otra vez.
    .strands = El plan está en el sillón; las pruebas de mechón están cerradas.
    .consultation = El plan está en el sillón; la consulta está cerrada.
error-already_warm = Ya hay calor en esta zona.
error-bad_archive = El archivo no es de un estudio (no es un zip).
    .json = { $where  }: no es JSON ({ $why  }).
    .unreadable = { $name  }: no se puede leer.
error-bad_csv = línea { WHOLE($line) }: no es CSV ({ $why  }).
error-caution = { $title }. { $advice }
    .shade = { $shade }: { $title }. { $advice }
error-cautions_open = Falta confirmar: { $missing  }.
error-changed_elsewhere = Otra persona lo cambió entretanto; aquí está su versión.
error-consultation_open = Termine la consulta antes del plan.
error-enough_addenda = Una ficha admite { WHOLE($most) } añadidos.
error-enough_photos = Un servicio admite { WHOLE($most) } fotos; quite una antes.
error-erased = Este cliente se borró; añádalo de nuevo.
    .written = Este cliente se borró; ya no se puede escribir sobre él.
error-event_id_taken = Ese identificador de suceso está ocupado.
    .other = Ese identificador es de otro acto: { $kind  }. No cambió nada.
error-in_use = { $name  } figura en servicios; su ficha lo necesita.
error-label_unread = Lea en la etiqueta de { $product  } que puede ponerse otra vez.
    .refresh = Lea antes la etiqueta de { $product  }: ¿permite otra aplicación hoy?
error-last_owner = Un estudio necesita un propietario; nombre antes a otro.
error-busy = El servidor calcula para muchos ahora. No se pierde nada; pruebe en un momento.
error-bad_json = Esto no es JSON.
error-code_needed = Escriba las seis cifras de su teléfono o un código de recuperación.
error-wrong_code = El código no es correcto. Espere el siguiente; tras fallos la espera crece.
error-second_factor_set = Ya hay un segundo factor; quítelo antes.
error-second_factor_none = No hay segundo factor.
error-second_factor_demanded = El estudio pide a todos un segundo factor; solo su propietario puede cambiarlo.
error-owes_password = Elija antes su propia contraseña.
error-owes_second_factor = El estudio pide a todos un segundo factor; configure antes el suyo.
error-later_acts_depend = Hay actos posteriores que dependen de este; deshágalos antes.
    .acknowledged = La consulta se terminó con esto; deshágalo antes.
error-locked_out = Demasiados intentos. Espere un cuarto de hora.
error-sign_in_busy = Hay demasiadas entradas ahora. Espere un momento y pruebe otra vez.
error-too_many_lines = Este dispositivo tiene demasiados tableros abiertos; cierre algunos.
error-begin_token = Esta dirección no es la que dio el servidor, o tiene más de una semana. Reinícielo para otra.
error-begun_already = Aquí ya hay un estudio; entre.
error-name_taken = El nombre { $name  } está ocupado; elija otro para entrar.
    .shelf = { $name  } ya está en el estante.
error-no_cgats = El archivo no empieza como texto CGATS (CGATS.17).
error-no_database = La base de datos no responde. Lo enviado no se guardó; pruebe en un momento.
    .stream = La base de datos no responde; pruebe en un momento.
error-no_ends = El producto solo se arrastra a puntas en espera de la misma zona.
error-no_heat = { $why }
error-no_lightener = Elija antes un decolorante.
    .shelf = Elija antes un decolorante; quizá el estante está vacío.
    .file = El archivo no tiene decolorante.
error-no_peroxide = { $shades  }: un lavado de pigmento no se mezcla con un tono oxidativo.
    .developer = developer_g: debe ser 0 en un lavado de pigmento ({ $shades  }), recibido { PLAIN($grams) }.
error-no_plan = Aún no hay plan en el sillón.
    .file = Ningún plan llevado al sillón hasta el minuto { PLAIN($minute) } del registro del archivo.
error-no_reader = No hay lector de color (FERVENS_READER); leer a ojo.
error-no_refresh = { $why }
error-no_camera = Aquí no hay cámara simulada; haga una foto.
error-no_round = No hay ronda de calibración suya.
error-no_studio = Esta cuenta aún no es de ningún estudio; el propietario puede añadirla.
error-no_toner = No hay matizador en esta zona.
error-no_zones = Lea antes al menos una zona.
error-not_again = { $lane  } no se puede decolorar otra vez hoy: { $why  }.
error-not_allowed = Su función no lo permite.
    .lead = Un asistente no puede: { $act  }; pida a un técnico.
    .owner = Solo un propietario puede: { $act  }.
error-not_applying = Esta zona no se está aplicando.
error-not_empty = Este estudio ya tiene clientes o productos; un archivo va en uno vacío.
error-not_filed = La ficha sigue abierta: escriba allí; los añadidos vienen tras archivar.
    .next = Archive antes; la próxima visita sale del resultado.
error-not_found = Aquí no hay nada que pueda ver.
error-not_kept = Esta zona llevó decolorante; léala como carril.
error-not_kept_at_all = Un valor no se puede guardar. No se guardó nada.
error-not_planning = Este servicio no está en su plan.
error-not_processing = En esta zona no hay producto actuando.
error-not_read = Lea antes { $lane  } tras el enjuague.
error-not_rinsed = Enjuagar el decolorante antes del matizador.
    .probe = Enjuagar el decolorante antes de la sonda.
    .again = Enjuagar y leer antes de decolorar otra vez.
    .review = Enjuagar el decolorante antes de revisar.
    .tone = Solo se matizan zonas enjuagadas.
error-not_warm = No hay calor en esta zona.
error-nothing_carried = Nada aprendido se llevó a { $name  }.
error-nothing_filed = Ningún servicio archivado del que partir; empiece uno nuevo.
error-nothing_measured = En este servicio no se midió; nada que sacar.
error-nothing_on = Aún no hay producto en esta zona.
error-nothing_planned = Ningún carril de este plan lleva producto.
error-nothing_to_drag = No hay producto que arrastrar de allí.
error-nothing_deeper = Ninguna parte se desea más oscura.
error-no_tone_parts = Lea al menos una zona que matizar.
error-not_by_hand = Lo que va al lavacabezas se calcula aquí, no se envía.
error-nothing_to_lift = Ninguna zona se desea más clara; nada que planificar.
    .consultation = El servicio está en el plan; al menos una zona debe aclararse.
error-nothing_to_read = Termine la aplicación antes de leer.
error-nothing_to_rinse = No hay producto en esta zona.
error-picture = La imagen no se puede leer.
    .no_card = La tarjeta no se ve entera: las cuatro marcas deben estar en la foto.
    .no_picture = Eso no es una imagen (JPEG, PNG o WebP).
    .too_large = La imagen es demasiado grande.
    .too_dark = Demasiado oscuro: más luz, o abra la ventana.
    .burnt_out = Quemado: los parches claros no tienen color. Con menos luz.
    .blurred = Borrosa: no se mueva, toque la tarjeta para enfocar y repita.
    .uneven-left = Luz desigual: el lado izquierdo de la tarjeta está en sombra. Gírela hacia la luz.
    .uneven-right = Luz desigual: el lado derecho de la tarjeta está en sombra. Gírela hacia la luz.
    .uneven-top = Luz desigual: la parte de arriba de la tarjeta está en sombra. Gírela hacia la luz.
    .uneven-bottom = Luz desigual: la parte de abajo de la tarjeta está en sombra. Gírela hacia la luz.
    .gloss = El mechón brilla mojado: séquelo y incline un poco la tarjeta.
    .other_light-left = En el mechón cae otra luz que en la tarjeta, a su izquierda.
    .other_light-right = En el mechón cae otra luz que en la tarjeta, a su derecha.
    .other_light-top = En el mechón cae otra luz que en la tarjeta, arriba.
    .other_light-bottom = En el mechón cae otra luz que en la tarjeta, abajo.
error-reader_away = El lector de color no responde; leer a ojo.
error-reader_error = El lector de color dice: { $told  }.
error-reader_line = El lector de color se cortó; pruebe otra vez o lea a ojo.
    .other = Lo que responde en { $address  } no es un lector de color.
    .sent = El lector de color envió { $line  }, no una medición.
error-refused = No se entendió; no se guardó nada.
field-zones = zona
field-strands = mechón
field-parts = parte
field-readings = lectura
field-start_level = altura ahora
field-target_level = altura deseada
field-now_level = altura ahora
field-wished_level = altura deseada
field-wanted_level = altura deseada
field-level = altura
field-name = nombre
field-first_name = nombre
field-last_name = apellidos
field-username = usuario
field-password = contraseña
field-email = correo
field-code = código
field-language = idioma
field-role = función
field-volume_strength = fuerza, vol
field-minutes = minutos
field-starts_at = día y hora
field-birth_date = fecha de nacimiento
field-patch_test_placed_at = prueba de alergia puesta
field-growth_mm_per_month = crecimiento al mes
field-length_mm = largo del pelo
field-from_mm = desde
field-to_mm = hasta
field-off_scalp_mm = distancia al cuero cabelludo
field-time_min = tiempo que hay, min
field-wish = deseo
field-notes = notas
field-contact = contacto
field-told = lo dicho
field-photos = fotos
field-text = texto
field-slot_min = tiempo pedido, min
field-label_max_min = tiempo máximo, min
field-developer_parts = oxidante por una parte
field-max_volume = más fuerte, vol
field-stock_g = en el estante
field-old_password = contraseña actual
field-foil_count = secciones
field-pace_min_per_foil = ritmo, min por sección
field-booked_min = reservado, min
field-occurred_at = hora
field-low_g = queda poco desde
field-price_per_g = precio
field-max_volume_on_scalp = el más fuerte en el cuero cabelludo, vol
field-bowl_life_min = vida de un bol, min
field-lift_factor = hasta dónde aclara
field-rate_factor = con qué rapidez aclara
field-max_applications = aplicaciones en una visita
field-developer_volume = oxidante, vol
field-label_min_min = tiempo más corto, min
field-patch_test_wait_h = prueba de alergia antes, h
field-rest_mm = mechón en reposo
field-pulled_mm = mechón estirado
field-back_mm = mechón suelto
field-tint_level = altura del color que lleva
field-grey_share = parte de canas
field-share = proporción
field-spacing_mm = separación
field-stretch_before_percent = estiramiento antes, %
field-stretch_after_percent = estiramiento después, %
field-volumes = oxidante, vol
field-visits = pase al lavacabezas
field-visit_mins = pase al lavacabezas, min
field-rows = filas
field-hands = manos
field-product_g = producto
field-developer_g = oxidante
field-mass_g = pesado
field-wanted_volume = fuerza deseada, vol
field-warmth = calidez
field-blend_mm = difuminado
field-dilution = dilución
field-weakest_natural = el más débil en pelo natural, vol
field-weakest_worn = el más débil en pelo claro, fino o poroso, vol
field-weakest_old_dye = el más débil en color viejo, vol
field-root_share = raíces
field-band_share = bandas
field-open_air_share = aire libre
field-tone_share = matizador
field-change_min = a la zona siguiente, min
field-rinse_min = un pase al lavacabezas, min
field-look_min = un carril mirado, min
field-mix_min = un bol mezclado, min
field-idle_min = se cierra la sesión tras, min
field-closed_on = días cerrados
field-first = primer día
field-last = último día
field-dyes = colorantes
field-worked = lo que salió bien
field-change = lo que hay que cambiar
field-reason = motivo
field-currency = moneda
field-allergies = alergias
field-medication = medicamentos
field-typed_name = el nombre, otra vez
field-label = nombre de la versión
field-for_name = para quién
field-studio = nombre del estudio
field-rest_name = nombre del resto
field-new_password = contraseña nueva
error-refused_at = { $field }.{ $told }
error-refused_within = { $place }: { $told }
error-service_closed = El servicio está archivado; no se puede añadir nada.
error-not_a_demo = Solo se despierta una demostración.
error-signed_out = Entre, por favor.
error-still_lifting = Algunas zonas aún tienen decolorante; enjuáguelas antes.
    .file = Algunas zonas del archivo aún tienen decolorante; enjuáguelas antes.
error-toned = Esta zona ya está matizada.
error-toner_on = Hay matizador en esta zona.
error-toner_open = Matizador aún puesto: { $zones  }. Enjuague antes de archivar.
error-toner_over_label = minutos: como mucho { PLAIN($most) } (etiqueta de { $shade  }), recibido { PLAIN($minutes) }.
error-too_large = body: como mucho { WHOLE($most) } bytes, recibido { $value  }. No se guardó nada.
error-too_late = Esta zona ya se enjuagó.
error-puzzle = La página estuvo abierta demasiado tiempo, o su respuesta ya se usó. Cárguela otra vez; puede copiar lo escrito.
error-too_many_requests = Hoy llegaron demasiadas solicitudes; llame al estudio.
error-too_many_versions = Se guardan { WHOLE($most) } versiones como mucho.
error-unknown_event = No hay tal suceso que deshacer.
    .fold = kind: { $kind  } no se puede plegar.
    .kind = kind: debe ser uno de { $known  }, recibido { $kind  }.
    .version = version: debe ser de 1 a { WHOLE($newest) } para { $kind  }, recibido { WHOLE($version) }.
error-unknown_shade = Este tono ya no está en el estante.
    .in_mind = El matizador pensado ya no está en el estante.
error-unknown_zone = Aquí no hay zona '{ $key  }'.
    .kept = Ninguna parte dejada tiene la clave '{ $key  }'.
error-round_over = Esta ronda acabó. Mire su análisis o inténtelo otra vez.
error-round_not_over = Esta ronda no ha acabado. Termínela antes.
error-only_in_practice = Solo para rondas de práctica.
error-unlike_hair = Lo medido (L* { WHOLE($l) }, a* { WHOLE($a) }, b* { WHOLE($b) }) no parece ninguna altura de este pelo: limpie el mechón, en plano, y mida otra vez, o lea a ojo.
error-value_out_of_limit = { $field  }: debe ser { $limit  }, recibido { $value  }.
got-g = { WEIGHT_TENTHS($value) }
got-mm = { LENGTH($value) }
error-field_out_of_limit = { FIELD($field) }: debe ser { $limit  }, recibido { $value  }.
error-secret_out_of_limit = { FIELD($field) }: debe ser { $limit  }.
error-volume_over_limit = { $lane  }: como mucho { PLAIN($most) } vol ({ $limit  }), recibido { PLAIN($volume) }.
error-wrong_password = El nombre o la contraseña no es correcto.
error-zones_open = Aún con producto: { $zones  }. Enjuague antes de archivar.

## What a role does, for its refusal

doing-acknowledge_a_caution = confirmar un aviso
doing-add_members = añadir miembros
doing-bring_a_studio_in = traer un estudio
doing-bring_clients_in = traer clientes
doing-move_a_visit = mover una visita
doing-cancel_a_visit = cancelar una visita
doing-change_a_strength = cambiar una fuerza
doing-change_members = cambiar miembros
doing-change_the_shelf = cambiar el estante
doing-change_the_studio = cambiar el estudio
doing-erase_a_client = borrar un cliente
doing-file_a_service = archivar un servicio
doing-finish_a_consultation = terminar una consulta
doing-keep_a_plan = guardar un plan
doing-lighten_again = decolorar otra vez
doing-make_links = crear enlaces
doing-measure_the_card = medir la tarjeta
doing-read_the_audit_trail = leer el registro de auditoría
doing-read_a_patch_test = anotar una prueba de alergia
doing-remove_a_filed_photo = quitar una foto de un servicio archivado
doing-revoke_links = revocar enlaces
doing-take_a_plan_to_the_chair = llevar un plan al sillón
doing-take_a_service_file_in = traer un archivo de servicio
doing-take_clients_out = sacar clientes
doing-take_the_studio_out = sacar el estudio
doing-write_a_plan = escribir un plan

## The audit trail

audit-account_changed = cuenta cambiada
audit-archive_brought_in = archivo traído
audit-archive_taken_out = archivo sacado
audit-card_forgotten = tarjeta tal como se imprimió
audit-card_measured = tarjeta medida
audit-client_added = cliente añadido
audit-client_changed = cliente cambiado
audit-client_erased = cliente borrado
audit-client_reminded = cliente avisado
audit-client_taken_out = cliente sacado
audit-clients_brought_in = clientes traídos
audit-clients_taken_out = clientes sacados
audit-code_failed = segundo factor fallido
audit-consultation_written = consulta escrita
audit-developer_added = oxidante añadido
audit-developer_changed = oxidante cambiado
audit-developer_removed = oxidante quitado
audit-eye_calibrated = ojo calibrado
audit-eye_round_taken_back = ronda de calibración retirada
audit-feed_link_made = enlace de agenda creado
audit-feed_link_revoked = enlace de agenda revocado
audit-invitation_taken_back = invitación retirada
audit-invitation_taken_up = invitación aceptada
audit-learnt_factor_carried_in = factor aprendido aplicado
audit-learnt_factor_taken_back = factor aprendido retirado
audit-lightener_added = decolorante añadido
audit-lightener_changed = decolorante cambiado
audit-lightener_removed = decolorante quitado
audit-measurements_brought_in = mediciones traídas
audit-member_added = miembro añadido
audit-member_changed = miembro cambiado
audit-member_invited = miembro invitado
audit-password_changed = contraseña cambiada
audit-password_reset = contraseña restablecida
audit-photo_added = foto añadida
audit-photo_removed = foto quitada
audit-plan_version_kept = versión del plan guardada
audit-plan_written = plan escrito
audit-reaction_to_oxidative_colour_answered = reacción al tinte oxidativo respondida
audit-record_added_to = ficha ampliada
audit-recovery_code_used = código de recuperación usado
audit-recovery_codes_made = códigos de recuperación creados
audit-reminder_taken_back = aviso retirado
audit-request_came_in = solicitud recibida
audit-requests_cleared = solicitudes borradas
audit-request_link_made = enlace de solicitud creado
audit-request_link_revoked = enlace de solicitud revocado
audit-reset_asked = restablecer pedido por correo
audit-reset_made = restablecer entregado
audit-second_factor_off = segundo factor quitado
audit-second_factor_set = segundo factor puesto
audit-service_file_taken_in = archivo de servicio traído
audit-service_file_taken_out = archivo de servicio sacado
audit-service_started = servicio empezado
audit-service_started_from_the_last = servicio empezado desde el último
audit-sign_in_failed = entrada fallida
audit-signed_in = entrada
audit-signed_out = salida
audit-signed_out_everywhere = salida en todas partes
audit-strand_tests_taken_in = pruebas de mechón traídas
audit-studio_begun = estudio empezado
audit-studio_changed = estudio cambiado
audit-trail_taken_out = registro de auditoría sacado
audit-shelf_brought_in = estante traído
audit-shelf_taken_out = estante sacado
audit-toner_added = matizador añadido
audit-toner_changed = matizador cambiado
audit-toner_removed = matizador quitado
audit-visit_cancelled = visita cancelada
audit-visit_moved = visita movida

## Mail to members

mail-invited = { $by } le invita a trabajar con { $studio } en Fervens.

    Cree su cuenta aquí, en { WHOLE($days) } días; la dirección sirve una vez:
    { $address }
    .title = Un puesto en { $studio  }
mail-reset = Hola { $name }:

    alguien pidió una contraseña nueva para su cuenta en Fervens. Póngala aquí, en un día:
    { $address }

    Si no fue usted, nada ha cambiado y no tiene que hacer nada.
    .title = Una contraseña nueva
mail-password_changed = Hola { $name }:

    su contraseña en Fervens acaba de cambiarse y los otros dispositivos salieron.
    Si no fue usted, pida enseguida una nueva al propietario del estudio.
    .title = Su contraseña se cambió

## The log

caution_name-scalp_broken = cuero cabelludo herido
caution_name-elasticity = elasticidad
caution_name-metallic_salts = sales metálicas
caution_name-build_up = residuos
caution_name-scalp_sensitive = cuero cabelludo sensible
caution_name-elasticity_slow = elasticidad lenta
caution_name-patch_test_open = prueba de alergia pendiente
caution_name-reaction_open = reacción pendiente
caution_name-allergies = alergias
caution_name-medication = medicación
caution_name-under_16 = menor de 16
caution_name-metallic_history = historial de sales metálicas
caution_name-henna_untested = henna sin probar
caution_name-unknown_untested = desconocido sin probar
caution_name-henna = henna
caution_name-elasticity_zone = elasticidad de una zona
caution_name-breakage = rotura
caution_name-frail = frágil
caution_name-direct_dye = tinte directo
caution_name-delicate = delicado
caution_name-frail_toned = pelo frágil matizado
caution_name-lightened = decolorado
caution_name-white_in_one = blanco de una vez
caution_name-long_regrowth = crecimiento largo
caution_name-no_strand_test = sin prueba de mechón
caution_name-toning_use = uso del matizador
caution_name-professional_use = uso profesional
event-ConsultationFinished = Consulta terminada
event-ReviewFinished = Revisión terminada
event-ServiceClosed = Archivado
event-ApplicationFinished = { $zone  }: aplicación terminada
event-Rinsed = { $zone  }: enjuagado
event-wiped = { $zone  }: retirado o secado
event-HeatStarted = { $zone  }: calor puesto
event-HeatEnded = { $zone  }: calor quitado
event-BarrierLeft = { $zone  }: dejado de barrera
event-DriedOut = { $zone  }: secado
event-acknowledged = Confirmado: { $caution  }
event-plan_taken = Plan llevado al sillón, { WHOLE($zones) } zonas
event-bowl = Bol para { $zone  }: { WEIGHT($grams) }, { PLAIN($volume) } vol
event-bowl_is_on = { $bowl  }; aplicación empezada
event-started_after = { $before  }: aplicación terminada; { $then  }
event-started = { $zone  }: aplicación empezada, { PLAIN($volume) } vol
event-reading = { $zone }: { $said } ({ $how })
event-read = leído { LEVEL($level) }
event-read_first = primeros papeles leídos { LEVEL($level) }
event-not_lightened = sin decolorar
event-warmer = más cálido
event-cooler = más frío
event-rest = resto { $hue  }
event-reader = lector de color
event-named_reader = lector de color { $name  }
event-rinsed_together = Enjuagadas juntas: { $zones  }
event-refreshed = { $zone  }: producto nuevo, { PLAIN($volume) } vol
event-dragged = { $zone  }: producto arrastrado de { $source  }
event-covering = { $zone  }: ahora { $covering  }
event-noted = { $zone }: { $said }
event-hair_returns = estira y vuelve
event-hair_slow = vuelve despacio
event-hair_stays_stretched = queda estirado
event-hair_snaps = se rompe
event-scalp_fine = cuero cabelludo bien
event-scalp_warm = cuero cabelludo caliente
event-scalp_burns = cuero cabelludo arde
event-developer = { $zone  }: { PLAIN($volume) } vol en su lugar
event-again = Decolorado otra vez: { $zones  }
event-zone_volume = { $zone  } { PLAIN($volume) } vol
event-wish = Deseo: { $tone  } en { LEVEL($level) }
event-wish_measured = Deseo: un color medido en { LEVEL($level) }
event-no_shadow = Sin raíz sombreada
event-shadow = Raíz sombreada en { LEVEL($level) }, { LENGTH($length) }, difuminada en { LENGTH($blend) }
event-probe = { $zone  }: el champú violeta agarró { $grab  }
event-two_shades = { $first } + { $second } { WHOLE($parts) }:{ WHOLE($rest) }
event-toner_applied = { $zone  }: matizador { $formula  } puesto, { PLAIN($minutes) } min
event-tone_bowl = Matizador { $formula  } puesto: { $zones  }
event-toners_emulsified = Matizador emulsionado: { $zones  }
event-toners_rinsed = Matizador enjuagado: { $zones  }
event-own_formula = Fórmula propia para { $zones  }
event-as_proposed = La fórmula propuesta otra vez para { $zones  }
event-wish_for = { $wish  }, para { $zones  }
event-toner_emulsified = { $zone  }: matizador emulsionado
event-toner_strand = { $zone  }: un mechón enjuagado, { PERCENT($share) } de su tinte
event-toner_pulled_back = { $zone  }: matizador vuelto a cubrir, { PLAIN($minutes) } min en total
event-toner_rinsed = { $zone  }: matizador enjuagado
version-taken = llevado al sillón

## Day and client

day-read_head = Leer la cabeza
day-finish = Terminar la consulta
day-clarify = Limpiar primero
day-not_today = Hoy no se decolora
day-strands = Probar los mechones
day-plan = Planificar
day-chair = En el sillón
day-review = Leer y revisar
day-tone = Matizar
day-toner_on = Matizador en { WHOLE($on) } de { WHOLE($of) } zonas
day-filed = Archivado
source-request = solicitud
source-last_time = última vez
history-patch_not_done = Prueba de alergia: puesta, sin leer
history-patch_negative = Prueba de alergia: limpia
history-patch_positive = Prueba de alergia: reacción
history-strands = { WHOLE($count) } { $count ->
        [1] mechón probado
       *[other] mechones probados
    }, hasta altura { LEVEL($best) }
hair_kind = { $history  }, { $thickness  }, porosidad { $porosity  }
request-form = formulario de solicitud
request-photo = enviado por el cliente
request-notes = Visita pedida el { DAY($on) }. Contacto: { $reach }.
    Indicado: { $past }
request-not_given = sin indicar
request-nothing = nada
calendar-name = Visita
calendar-visit = Color: { $client  }

## The card, on paper

min = { WHOLE($minutes) } min
g = { WEIGHT($grams) }
card-title = Ficha de servicio, { $client  }
card-foot = { $client }, { DAY($on) }
card-head = { DAY($on) }, { $at }, { $filed }. { $lightener }.
card-filed = archivado { $at  }
card-not_filed = aún sin archivar
card-no_lightener = sin decolorante
card-wish = Deseo: { $wish  } ({ $tone  })
card-walls = Pasado el tiempo de la etiqueta: { $lanes  }.
card-lightening = Decoloración
card-strands = Pruebas de mechón
card-level = de { LEVEL($level) }
card-strand_reading = { PLAIN($minute) } min: { LEVEL($level) }
card-bowls = Boles
card-toner = Matizador
card-readings = Lecturas
card-cautions = Avisos confirmados
card-keep = Qué conservar
card_head-zone = Zona
card_head-formula = Fórmula
card_head-on = Puesto
card_head-rinsed = Enjuagado
card_head-planned = Previsto
card_head-ran = Como fue
card_head-levels = De, a, deseado
card_head-mixed = Mezclado
card_head-strength = Fuerza
card_head-lightener = Decolorante
card_head-developer = Oxidante
card_head-recipe = Receta
card_head-grams = Gramos
card_head-strand = Mechón
card_head-readings = Lecturas
card_head-painted = En el tiempo
card-level_alone = { LEVEL($level) }
card-numbered = { WHOLE($number) }  { $lane }
card-clocks = { $on } a { $rinsed }, { $ran } (previsto { $planned })
trolley-title = Hoja del carrito, { $client }
trolley-head = { DAY($on) }. { $lightener }, etiqueta { WHOLE($label) } min. { WHOLE($chair) } min en el sillón.
trolley-minutes = Los minutos cuentan desde el primer producto en el pelo. La barra es el tiempo de la etiqueta.
trolley-order = En el orden de las manos
trolley-mixing = Lista de mezcla
trolley-cut = Tiras para los boles: recortar y pegar
trolley-bowl = Bol { WHOLE($number) }, { PLAIN($volume) } vol
trolley-mixed_at = mezclado a las ____:____ , sirve { WHOLE($life) } min
trolley_head-rinse = Enjuague
trolley_head-minute = Minuto
trolley_head-for = Para
trolley_head-makes = Da
card-pour = { WEIGHT($grams) } { PLAIN($volume) } vol
card-of = { WEIGHT($grams) } { $name }
card-formula = { PLAIN($volume) } vol{ $applications ->
        [0] {""}
        [1] {""}
       *[other] , { WHOLE($applications) } aplicaciones
    }
card-levels = { LEVEL($before) } → { TENTHS($level) } ({ LEVEL($target) })
card-levels_open = { LEVEL($before) } →  ({ LEVEL($target) })
card-still_on = aún puesto
card-toner_grams = { WEIGHT($product) } + { WEIGHT($developer) }
card-difference = Diferencia con los deseos { TENTHS($difference) } (CIEDE2000, media).
card-tone_bowl = { $at  }: { $formula  }, { WEIGHT_TENTHS($product) } + { WEIGHT_TENTHS($developer) }, puesto en este orden: { $zones  }; enjuagado { $rinses  }.
card-reading = { $lane } { LEVEL($level) } ({ $mode })
card-reading_at = { $lane  } { LEVEL($level) } a los { WHOLE($minute) } min ({ $mode  })
card-readings_listed = { $readings }.
card-caution = { CAPITAL($caution) }: { $by }, { $at }
card-worked = Funcionó: { $said  }
card-change = Cambiar la próxima: { $said  }
card-nothing_noted = nada anotado
card-added = Añadido el { DAY($on) } por { $by  }: { $said  }
card-contact = Contacto más largo { WHOLE($minutes) } min.
card-contact_and_cost = Contacto más largo { WHOLE($minutes) } min, producto { HUNDREDTHS($cost) } { $currency  }.
card-professional_use = Uso profesional. La etiqueta, la ficha de seguridad, la norma local y la licencia van primero; donde difieran de esta ficha, mandan ellas.
handout-title = Para llevar a casa
handout-again = Le proponemos volver
handout-on_or_about = Hacia el { DAY($on) }.
camera_card-title = Tarjeta para leer el pelo con cámara
camera_card-note_1 = Imprimir a tamaño real (100 %), mate, sin gestión de color. Dejar secar una hora.
camera_card-note_2 = Poner el mechón limpio en plano sobre toda la ventana. Tarjeta entera en la foto, luz pareja, sin flash.
camera_card-note_3 = Recortar la ventana, o poner el mechón encima.
eye-reads = { $mode  }: { $way ->
        [true] lee bien
        [light] lee { TENTHS($levels) } más claro
       *[dark] lee { TENTHS($levels) } más oscuro
    }; { WHOLE($pairs) } { $pairs ->
        [1] par
       *[other] pares
    }

## Practice

event-FoilOpened = { $zone  }: abierto para mirar
event-asked = Averiguado: { $topic  }
event-mishap = Atendido: { $mishap  }
event-mishap_left = Dejado: { $mishap  }
home_care-violet_shampoo = un champú violeta
home_care-ash_shampoo = un champú ceniza
home_care-minerals = agua dura
home_care-heat_tools = planchas calientes
topic-reactions = reacciones al color
topic-history = lo hecho antes
topic-home_care = lo que se usa en casa
topic-scalp = cómo está el cuero cabelludo
topic-stretch = cómo estira un mechón mojado
topic-salts = una prueba de sales
practice_zone = Zona { WHOLE($number) }
practice_pieces = piezas
practice_head-first = Tres zonas
    .about = Tres zonas parejas, 6 a 8. Para aprender el tablero.
practice_head-six = Seis zonas parejas
    .about = Castaño medio entero, 5 a 8.5, seis zonas en papel.
practice_head-light = Casi
    .about = Altura 7 a 9.5: va rápido, y la última tarda lo que las dos anteriores.
practice_head-hairline = Contorno fino
    .about = Cabeza media, 5 a 8.5, con pelo fino en nuca, flequillo y sienes.
practice_head-band = Una banda en los largos
    .about = 7 a 9, con una banda más oscura donde acababa un tinte viejo.
practice_head-coarse = Grueso y oscuro
    .about = Altura 3 a 7.5, grueso, tarda en tomar producto.
practice_head-ends = Puntas viejas
    .about = 5 a 9, con puntas porosas en 7.5 ya decoloradas.
practice_head-tint = «Nunca teñido»
    .about = 4 a cobrizo 7. La ficha dice natural.
practice_head-painted = Pintado al aire
    .about = El frente pintado al aire, 6 a 8: se enfría y se seca.
practice_head-stuck = Atascado en naranja
    .about = 4 a 8, y no todas las zonas quieren llegar.
practice_head-evening = A la luz de la lámpara
    .about = 6 a 9 bajo una lámpara amarilla, donde todo parece más claro y cálido.
practice_head-whole = La cabeza entera
    .about = Doce zonas, 5 a 9 helado, contorno fino, un par de manos.
practice_head-random = Una cabeza de una semilla
    .about = Sacada de la semilla, la misma para todos con ella.
practice_head-past = Una cabeza pasada
    .about = Una de las cabezas del estudio como se planificó, sin su nombre.
practice_answer-reactions = «Hace dos años, tras un tinte, me salió un sarpullido en la cabeza. Picó una semana.»
practice_answer-reactions_none = «No, nunca me pasó nada con un tinte.»
practice_answer-history = «Bueno, un castaño de caja, en casa. Dos veces, en primavera.»
practice_answer-history_none = «Nada más que lo que está en su ficha.»
practice_answer-home_care = «Uso { $uses  }.»
practice_answer-home_care_none = «Solo un champú sencillo.»
practice_answer-scalp = Está sensible a ratos, aunque no hay heridas.
practice_answer-scalp_none = Está sano.
practice_answer-stretch = Estira y vuelve despacio.
practice_answer-stretch_none = Estira un tercio y vuelve.
practice_answer-salts = El mechón se calienta en un minuto y suben burbujitas.
practice_answer-salts_none = Tras media hora no le ha pasado nada al mechón.
mishaps-stale = un bol pasado
mishaps-slipped = un papel que resbaló
mishaps-dried = producto que se secó
mishaps-burns = cuero cabelludo que arde
mishaps-phone = el teléfono
mishaps-shampoo = un champú violeta
mishap-stale = El bol para { $lane  } se ha espesado: está pasado.
mishap-slipped = Este papel se había abierto. Ya está cerrado otra vez.
mishap-dried = El producto aquí está seco: se ha parado.
mishap-burns = «¡Arde!» { $lane  }.
mishap-phone = Suena el teléfono. Contestar lleva { WHOLE($minutes) } minutos.
mishap-shampoo = «Debí decirlo: me lavo con champú violeta, ayer también.»
debrief_worked-all_on_target = { $count ->
        [one] El carril acabó a media altura de su objetivo.
       *[other] Los { WHOLE($count) } carriles acabaron a media altura de su objetivo.
    }
debrief_worked-most_on_target = { WHOLE($count) } de { WHOLE($of) } carriles acabaron a media altura de su objetivo.
debrief_worked-some_on_target = { $count ->
        [one] Uno de { WHOLE($of) } carriles acabó a media altura de su objetivo.
       *[other] { WHOLE($count) } de { WHOLE($of) } carriles acabaron a media altura de su objetivo.
    }
debrief_worked-walls = Ningún producto pasó de su etiqueta.
debrief_worked-looks = { WHOLE($count) } miradas, y casi ninguna antes de que dijera algo.
debrief_worked-eye = Sus { WHOLE($count) } lecturas fueron ciertas: sin sesgo digno de mención.
debrief_worked-time = De la primera sección al último enjuague en { WHOLE($minutes) } min, no más que el consejo del tablero.
debrief_worked-burn = Ardió, y se enjuagó en { TENTHS($minutes) } min.
debrief_worked-tone = Cada parte matizada está cerca de su deseo.
debrief_worked-asked_reactions = Preguntó por reacciones y se ciñó a lo permitido.
debrief_worked-asked_history = Preguntó qué se hizo antes: la ficha no sabía del tinte viejo.
debrief_worked-strand = Leyó antes una prueba de mechón.
debrief_worked-declined = La prueba de sales fue positiva y no decoloró. Esa era toda la tarea.
debrief_change-salts = Había sales metálicas y se puso decolorante. Pruebe sales donde no se conozca el historial.
debrief_change-reacted = Esta persona reacciona al tinte oxidativo, y se puso matizador oxidativo. Pregunte por reacciones y anote la respuesta.
debrief_change-never_asked = Esta persona reacciona al tinte oxidativo y no preguntó. Pregunte a todos, siempre.
debrief_change-burn = Ardió más de tres minutos antes de enjuagar. Enjuague enseguida, sea cual sea la altura.
debrief_change-passed_wall = { $count ->
        [one] { CAPITAL($lane) } pasó de su etiqueta.
       *[other] { WHOLE($count) } carriles pasaron de su etiqueta, entre ellos { $lane }.
    } Enjuague en el límite, sea cual sea la altura.
debrief_change-unread = Enjuagó { WHOLE($count) } de { WHOLE($of) } carriles sin mirar. Abra cada uno una vez antes de enjuagar.
debrief_change-eye_light = Leyó unas { TENTHS($levels) } alturas de más en { WHOLE($count) } miradas ({ $mode  }). Ponga el mechón primero junto a la muestra más oscura.
debrief_change-eye_dark = Leyó unas { TENTHS($levels) } alturas de menos en { WHOLE($count) } miradas ({ $mode  }). Ponga el mechón primero junto a la muestra más clara.
debrief_change-too_long = { CAPITAL($lane) } pasó su objetivo en { TENTHS($levels) }. Enjuague antes.
debrief_change-too_soon = { CAPITAL($lane) } se enjuagó { TENTHS($levels) } corto, y quedaba tiempo. Déjelo más.
debrief_change-planned_short = { CAPITAL($lane) } no podía acercarse a menos de { TENTHS($levels) } con este plan. Prevea más minutos, un bol más fuerte u otra visita.
debrief_change-too_many_looks = { WHOLE($count) } miradas donde { WHOLE($fewer) } bastaban. Cada apertura cuesta calor y una mano.
debrief_change-late = { CAPITAL($lane) } se enjuagó { WHOLE($minutes) } min después de lo debido.
debrief_change-slow = El último enjuague llegó { WHOLE($minutes) } min más tarde de lo aconsejado por el tablero.
debrief_change-slipped = Un papel resbaló y nadie lo vio antes de enjuagar. Repase los papeles de vez en cuando.
debrief_change-dried = Se secó producto y nadie lo vio. Lo seco se ha parado: refresque o enjuague.
debrief_change-stale = Un bol se usó después de pasarse. Mezcle uno fresco.
debrief_change-history = La ficha decía natural, y nadie preguntó. Había un tinte viejo.
debrief_change-tone = El matiz en { $lane  } está lejos del deseo. Lea otra vez altura y calidez antes de mezclar.
debrief_change-not_started = Aún no se puso nada: siga y vuelva a mirar.
debrief_change-harder = Nada de peso. Pruebe una cabeza más difícil, o la misma con menos ayuda.

## The command line

cli-min = min
cli-level = altura
cli-colour = color
cli-undertone = Fondo: { $undertone }. Croma que queda, lo mejor primero:
cli-plan = { $aim }: último enjuague a los { WHOLE($last) } min del primer producto, { WHOLE($chair) } min en el sillón, { $strengths } vol, { WHOLE($bowls) } boles.
cli-aim_simple = Sencillo
cli-aim_gentle = Suave
cli-aim_even = Parejo
cli-aim_quick = Rápido
cli-no_strength = sin
cli-left_out = { $lane }: fuera. { $why }
cli-again = Una segunda ronda donde la etiqueta lo permita:
cli-mixing_list = Lista de mezclas:
cli-pour = { WEIGHT_TENTHS($grams) } de { PLAIN($volume) } vol
cli-bowl = { WHOLE($at) } min: { WEIGHT_TENTHS($grams) } { $lightener }, { $pours }, para { $lanes }
cli-visit = Pase { WHOLE($number) } al lavacabezas a los { WHOLE($at) } min:
cli-lane = { $lane }: { PLAIN($volume) } vol, puesto { WHOLE($start) }-{ WHOLE($end) }, listo { $early }/{ $likely }/{ $late }, { $ending ->
        [wiped] retirado
        [dried] secado
       *[rinsed] enjuagado
    } { WHOLE($rinse) }, límite { WHOLE($wall) } min, altura { TENTHS($level) }
cli-never = nunca
cli-tone_bowl = Bol { WHOLE($number) }: { WEIGHT_TENTHS($grams) } { $shades }, { $mixed }
cli-neat = puro
cli-tone_part = { $part }: bol { WHOLE($bowl) }, puesto { WHOLE($on) }, enjuagado { WHOLE($off) } min, { TENTHS($difference) } con el deseo
cli-learnt = { $lane }: { HUNDREDTHS($extent) } de lejos, { HUNDREDTHS($rate) } de rápido, listo { $early } a { $late } min{ $odd ->
        [misfit] ; las lecturas no cuadran
        [stray] ; como ningún pelo de su clase
       *[none] {""}
    }
cli-help_fervens = Aclarado, color y plan desde la línea de comandos.
cli-help_curve = altura y color en el tiempo
cli-help_neutralise = familias de tinte según el color que dejan
cli-help_plan = el plan de un archivo de servicio
cli-help_tone = el matizador de los resultados de un archivo
cli-help_advise = lo que aconseja el sillón en un minuto de un archivo
cli-help_learn = lo que enseñaron lecturas y mechones de un archivo
cli-help_batch = peticiones JSON por la entrada estándar, una por línea, respondidas por línea
cli-help_reader = un lector de color simulado en loopback
cli-help_aim = simple, gentle, even o quick; si no, el del archivo
cli-help_json = imprimir JSON

## Words of a typed line, parted by bars; all that this page calls a thing is one of them

shorthand-word_all = todo|toda la cabeza|cabeza|todas
shorthand-word_but = menos|sin|excepto|no
shorthand-word_left = izquierda|izquierdo
shorthand-word_right = derecha|derecho
shorthand-word_want = deseo|deseado|objetivo|quiero|a
shorthand-word_keep = dejar|conservar|fuera|sin producto
shorthand-word_mm = mm
shorthand-word_and = y|+|&|en|es|son|los|las|el|la
shorthand-word_level = altura|alturas|tono
shorthand-part_lengths = largos|largo|medios
shorthand-part_regrowth = crecimiento
shorthand-part_root = raíz|raíces
shorthand-part_band = banda|bandas
shorthand-part_ends = puntas|punta
shorthand-history_virgin = natural|virgen
shorthand-history_tinted = teñido|tinte
shorthand-history_lightened = decolorado|mechas
shorthand-history_direct_dye = tinte directo|tinte viejo
shorthand-history_henna = henna
shorthand-history_metallic = sales metálicas|sales
shorthand-history_unknown = desconocido
shorthand-porosity_low = resistente|no poroso
shorthand-porosity_normal = porosidad normal
shorthand-porosity_high = poroso|muy poroso
