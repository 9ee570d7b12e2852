<?php

declare(strict_types=1);

// What visitors of the invented observatory say. Every person and every sentence is made up.

return [
    'names' => [
        'en' => [
            'Ines Marlow',
            'Tomasz Kell',
            'A. Okafor',
            'Bryony Tate',
            'Jonah Wren',
            'Priya Nair',
            'Callum Reyes',
            'Maud Ellery',
            'Sefa Toru',
            'Dilys Penhale',
            'R. Quist',
            'Noor Haddad',
            'Gwil Tanner',
            'Odette Frame',
            'Hamish Lorne',
            'Leda Voss',
            'Iris Kwan',
            'Teo Brandt',
            'Moss Aldridge',
            'Fenna de Wit',
            'Kit Oyelaran',
            'Sunniva Dahl',
            'Juno Park',
            'Arlo Finch',
            'Wilma Stroud',
            'Eben Cross',
        ],
        'de' => ['Jana Reuter', 'Mattis Holm', 'Frieda Albers', 'Korbinian S.', 'Ute Lindqvist'],
        'fr' => ['Maëlle Durand-Roc', 'Théo Vasseur', 'Inès Carpentier', 'Lucie B.'],
        'el' => ['Ελένη Μαρκάκη', 'Νίκος Δρόσος', 'Δανάη Κ.'],
        'ja' => ['さくら 三枝', '高野 蓮', 'みなと', '星野 ひかり'],
        'ar' => ['ليلى منصور', 'سامي الحداد', 'نور'],
    ],
    'dome' => [
        'en' => [
            5 => [
                [
                    'Saturn was so sharp that my daughter asked whether it was a sticker on the lens.',
                    'The first look through the big refractor silenced all six of us.',
                    'We came for the eclipse talk and stayed until they locked the gate.',
                    'I have lived ten miles away for thirty years and never looked up properly until last night.',
                    'Booked on a whim, drove up through fog, and the sky opened like a curtain.',
                    'Our guide found the comet before the app did.',
                    'They let the children turn the dome themselves.',
                ],
                [
                    'Two hours went like ten minutes.',
                    'The guide answered every question, including the one about aliens, with a straight face.',
                    'The hot chocolate at the hatch is the best idea anyone ever had.',
                    'Red torches for everyone, so your eyes stay used to the dark.',
                    'They keep groups small, nobody waits long at the eyepiece.',
                    'My father, who is eighty-one, got a chair beside the telescope without asking.',
                ],
                [
                    'We are coming back for the meteors.',
                    'Worth every mile of that road.',
                    'Go on a weeknight if you can.',
                    'Bring a hat; the dome is open to the sky for a reason.',
                    'I bought the star wheel on the way out and have used it every clear night since.',
                    '✨🔭',
                ],
            ],
            4 => [
                [
                    'Cold, dark, wonderful.',
                    'A proper observatory run by people who love it.',
                    'Cloud at nine, stars at ten.',
                    'Lovely evening, slightly chaotic start.',
                ],
                [
                    'They kept the dome open for us and talked us through the whole summer sky.',
                    'The talk ran long, but the view of the Orion nebula made up for it.',
                    'The moon washed out the faint things; choose a date near new moon.',
                    'Signs from the main road could be better, we passed the turn twice.',
                ],
                [
                    'Bring gloves and arrive before sunset for the parking.',
                    'Would go again in summer.',
                    'Only the car park lets it down.',
                    'Good value for a family of four.',
                ],
            ],
            3 => [
                ['Nice idea, unlucky night.', 'Mixed feelings.', 'Interesting, but we saw mostly cloud.'],
                [
                    'You cannot blame them for the weather, though the indoor programme felt improvised.',
                    'Too many people for one telescope that evening.',
                    'Staff were kind, the heating was not.',
                ],
                ['Check the forecast before you book.', 'They offered a second visit, which was fair.'],
            ],
            2 => [
                ['Not what we hoped for.', 'Queued forty minutes for thirty seconds at the eyepiece.'],
                [
                    'The microphone did not work and half of us could not hear the talk.',
                    'The path from the car park is unlit and nobody met us.',
                ],
                ['It could be so good.'],
            ],
            1 => [
                ['Cancelled an hour before we arrived, with no message.', 'Drove two hours to find a locked gate.'],
                ['The phone rang out four times.', 'The refund took three weeks.'],
                ['Very disappointed.'],
            ],
        ],
        'de' => [
            5 => [
                [
                    'Der Saturn war so scharf, dass unsere Tochter ihn für einen Aufkleber hielt.',
                    'Ein unvergesslicher Abend unter der Kuppel.',
                    'So viele Sterne haben wir noch nie gesehen.',
                ],
                ['Die Führung war kurzweilig und sehr freundlich.', 'Auch für Kinder wunderbar erklärt.'],
                ['Unbedingt warm anziehen!', 'Wir kommen im August zu den Perseiden wieder.'],
            ],
            4 => [
                ['Sehr schöne Sternwarte mit engagierten Leuten.', 'Toller Abend, etwas kalt.'],
                ['Der Parkplatz ist klein und schlecht ausgeschildert.'],
                ['Trotzdem eine klare Empfehlung.'],
            ],
            2 => [
                ['Leider nur Wolken und ein langer Vortrag auf Englisch.'],
                ['Für Gäste aus dem Ausland wäre ein Faltblatt schön.'],
                [''],
            ],
        ],
        'fr' => [
            5 => [
                ['Une soirée magique sous la coupole.', 'Les anneaux de Saturne, en vrai, à travers la grande lunette : inoubliable.'],
                ['L’équipe est passionnée et prend le temps de répondre.', 'Les enfants ont pu tourner la coupole eux-mêmes.'],
                ['Prévoyez des gants.', 'Nous reviendrons cet été.'],
            ],
            4 => [
                ['Très belle visite malgré quelques nuages.'],
                ['Le parking est un peu loin et le sentier n’est pas éclairé.'],
                ['À refaire par temps clair.'],
            ],
            3 => [['Intéressant, mais tout se passe en anglais.'], ['Dommage pour les plus jeunes.'], ['']],
        ],
        'el' => [
            5 => [
                ['Είδαμε τον Κρόνο τόσο καθαρά που τα παιδιά δεν το πίστευαν.', 'Μια νύχτα που δεν θα ξεχάσουμε.'],
                ['Οι ξεναγοί εξηγούν τα πάντα με υπομονή και χιούμορ.'],
                ['Πάρτε ζεστά ρούχα.', 'Θα ξανάρθουμε.'],
            ],
            4 => [['Υπέροχο μέρος, λίγο δύσκολο να το βρεις το βράδυ.'], ['Η θέα αξίζει τον δρόμο.'], ['']],
        ],
        'ja' => [
            5 => [
                ['土星の輪がはっきり見えて、娘は「シールみたい」と驚いていました。', '満天の星の下で過ごした二時間は、あっという間でした。'],
                ['解説はとても丁寧で、質問にも笑顔で答えてくれます。', '小さな子どもにも椅子を用意してくださいました。'],
                ['また夏に来たいです。', '防寒はしっかりと。'],
            ],
            4 => [['雲が多い夜でしたが、十分に楽しめました。'], ['駐車場が少し分かりにくいです。'], ['']],
        ],
        'ar' => [
            5 => [
                ['رأينا حلقات زحل بوضوح لا يصدق.', 'ليلة ساحرة تحت القبة.'],
                ['المرشدون صبورون ويجيبون عن كل سؤال.'],
                ['أحضروا ملابس دافئة.', 'سنعود في الصيف بإذن الله.'],
            ],
        ],
    ],
    'planetarium' => [
        'en' => [
            5 => [
                [
                    'The seats tip back and the ceiling disappears.',
                    'Rainy Sunday saved.',
                    'My class of eleven-year-olds did not make a sound for forty minutes.',
                    'The live presenter makes all the difference.',
                    'We flew from Harrow Lane to the edge of everything and were home for tea.',
                ],
                [
                    'No recorded voice, a real person who took questions in the dark.',
                    'The show about the southern sky is a small masterpiece.',
                    'Easy to reach by bus and with a lift to every row.',
                    'They repeated the show quietly for my son, who finds noise hard.',
                ],
                [
                    'Sit in the back rows.',
                    'Tickets go quickly in half-term.',
                    'We left with a thousand questions, which is the point.',
                    '🌌🌌🌌',
                ],
            ],
            4 => [
                ['Comfortable, clever, a little short.', 'A good hour in town.', 'Great show, tiny foyer.'],
                ['The projector is not the newest, and it does not matter.', 'The shop is small but well chosen.'],
                ['Would like a later show for grown-ups.', 'Book ahead.'],
            ],
            3 => [
                ['Fine for young children, thin for anyone else.', 'The show was good, the queue was not.'],
                ['We were let in ten minutes late.', 'A few seats are broken.'],
                ['Perhaps we chose the wrong film.'],
            ],
            2 => [['Too loud for us.'], ['The volume could not be turned down.'], ['']],
        ],
        'de' => [
            5 => [['Die Kuppelschau hat uns begeistert.'], ['Live moderiert, mit viel Witz.'], ['Gern wieder.']],
            4 => [['Schönes kleines Planetarium mitten in der Stadt.'], ['Bequeme Sitze.'], ['']],
        ],
        'fr' => [5 => [
            ['Un voyage superbe sans quitter son fauteuil.'],
            ['Le présentateur répond aux questions en direct.'],
            ['Bravo à toute l’équipe.'],
        ]],
        'el' => [5 => [['Μαγικό για μικρούς και μεγάλους.'], ['Η παρουσίαση ήταν ζωντανή και έξυπνη.'], ['']]],
        'ja' => [5 => [['天井いっぱいの星空に、思わず声が出ました。'], ['生解説がとても楽しいです。'], ['']]],
    ],
    'long' => 'I want to write down the whole evening before I forget it. We arrived at half past six, an hour too early, because the '
        .'sign at the crossroads had turned in the wind and we trusted it anyway. A woman in a very large coat came out, laughed, and '
        .'put our two boys to work sweeping leaves from the rails the dome turns on. By seven there were fourteen of us. The talk was '
        .'held in the old engine room: twenty minutes, no slides, one orange as the Sun and a handful of peppercorns that we had to '
        .'carry down the drive to where the planets ought to be. My younger boy was Neptune and had to be fetched back by torchlight. '
        .'Then the dome. Nobody tells you about the sound, a long wooden groan, and then the slot of sky. We saw the double cluster '
        .'first, then a planetary nebula that I pretended to see before I really saw it, then Saturn, low and trembling and then, for '
        .'about three seconds, perfectly still. The elder boy said a word we do not use at home and nobody corrected him. At ten it '
        .'clouded over, and instead of sending us away they made cocoa and showed us the glass plates from the nineteen-twenties, the '
        .'same fields we had just looked at, with one star on them that is not there any more. We drove home without the radio. If '
        .'you are wondering whether it is worth the money: it is worth the money. If you are wondering whether to take children: take '
        .'children, take gloves, take more biscuits than you think.',
    'replies' => [
        'Thank you, we will tell the Thursday team, who will be pleased for a week.',
        'Thank you for coming up the hill. The sign at the crossroads has been mended.',
        'We are sorry about that night. Your ticket is good for another one; just write to us.',
        'You are right about the path: lamps go up this month.',
        'Thank you! The biscuits are noted.',
    ],
    'posts' => [
        'en' => [
            [
                'Clear until midnight',
                'The dome is open tonight from 20:00. Saturn is up first, then the double cluster. Gloves, please. #tonight #saturn',
            ],
            ['New moon week', 'Five dark nights in a row, and three of them have places left. #darksky'],
            [
                'A mirror, at last',
                'Eleven people ground eleven mirrors at the weekend workshop, and not one of them cracked. First light on Friday. '
                    .'#mirrormaking',
            ],
            [
                'The fox is back',
                'Our night-shift mascot walked across the lawn during the talk and got a longer round of applause than the speaker. 🦊',
            ],
            ['Snow on the rails', 'The dome turns again, thanks to four volunteers with brooms. Tonight goes ahead. #tonight'],
            ['Half-term at Harrow Lane', 'Two extra shows a day, all presented live. The quiet show is on Tuesday at ten. #planetarium'],
            [
                'Moon Atlas, second printing',
                'It is back from the binders with a proper lie-flat spine and the two craters we had the wrong way round.',
            ],
            [
                'What was that light?',
                'To the eleven people who wrote to us about it: it was the supply capsule, right on time, and yes, it was lovely.',
            ],
            ['Open evening', 'No booking, no charge, all three telescopes. Come up between seven and ten. #openevening'],
            ['A plate from 1926', 'We are scanning the glass plates. This one shows a star that nobody has seen since. #archive'],
        ],
        'de' => [['Klare Nacht', 'Heute ab 20 Uhr geöffnet, der Saturn steht günstig. #heuteabend']],
        'fr' => [['Nuit noire', 'Cinq nuits sans lune : il reste quelques places. #cielnoir']],
        'ja' => [['今夜の空', '今夜は二十時から観望会です。土星が見ごろです。#星空']],
        'el' => [['Ανοιχτή βραδιά', 'Ανοίγουμε στις οκτώ, χωρίς κράτηση. Ντυθείτε ζεστά. #ουρανός']],
    ],
];
