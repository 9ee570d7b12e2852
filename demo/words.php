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
            'Tamsin Rook',
            'Femi Adewale',
            'Brother Anselm',
            'J. P. Hollowell',
            'Gudrun Oak',
            'Amara Silk',
            'Old Tom Varley',
            'Saoirse Lune',
            'Niko Prue',
            'the Marchbank family',
            'Delphine Yarrow',
            'Kofi Sands',
            'Pip',
            'Edda Thorne',
        ],
        'de' => ['Frieda Albers', 'Mattis Holm', 'Jana Reuter', 'Korbinian S.', 'Ute Lindqvist', 'Henrike Voll'],
        'fr' => ['Maëlle Durand-Roc', 'Théo Vasseur', 'Inès Carpentier', 'Lucie B.'],
        'el' => ['Ελένη Μαρκάκη', 'Νίκος Δρόσος', 'Δανάη Κ.'],
        'ja' => ['さくら 三枝', '高野 蓮', 'みなと', '星野 ひかり'],
        'ar' => ['ليلى منصور', 'سامي الحداد', 'نور', 'هالة قاسم', 'يوسف'],
        'zh' => ['林晓月', '周远', '陈静 C.', '何平'],
        'es' => ['Nuria Velasco', 'Iker S.', 'Pilar Ordóñez', 'Mateo Rui'],
        'it' => ['Chiara Donà', 'Elio M.', 'Bruna Salvi'],
    ],
    'reviews' => [
        'dome' => require __DIR__.'/words/dome.php',
        'planetarium' => require __DIR__.'/words/planetarium.php',
    ] + require __DIR__.'/words/tickets.php',
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
    'translations' => require __DIR__.'/words/translations.php',
    'posts' => require __DIR__.'/words/posts.php',
];
