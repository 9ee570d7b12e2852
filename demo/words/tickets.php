<?php

declare(strict_types=1);

// What guests say at the box office, each once: stars, language, words. Every sentence is made up.

return [
    'tw-dome' => [
        [5, 'en', 'Tickets on the phone, scanned by red light, in under a minute.'],
        [4, 'en', 'Good night out. The confirmation said bring warm things and I thought they meant a cardigan.'],
        [5, 'en', 'A hundred steps, one telescope, no regrets.'],
        [3, 'en', 'Moved twice because of cloud. Kindly done, but it was a lot of babysitters.'],
        [5, 'de', 'Kurzweilige Führung, freundliche Leute, und der Mond wie zum Anfassen.'],
        [5, 'en', 'Gave this to my husband for his fiftieth. He has asked for a telescope for his fifty-first. Send help.'],
        [4, 'en', 'Clear instructions, clear sky.'],
        [2, 'en', 'Paid for a front-row seat; there are no rows.'],
        [5, 'fr', 'Organisation parfaite, ciel parfait, gants indispensables.'],
        [5, 'en', 'The late session is the one. Fewer people, darker sky, better jokes.'],
        [4, 'es', 'Todo muy bien organizado. Faltaba un poco de luz en el camino, pero claro, es un observatorio.'],
        [5, 'en', 'They wrote the day before to say it looked clear, and it was.'],
        [5, 'en', 'Ring nebula: a smoke ring, blown two thousand years ago, still hanging there. I have thought about it all week.'],
        [1, 'en', 'Wrong date on the ticket, our fault or theirs, and no one at the gate to ask.'],
        [5, 'ja', '受付がとても親切で、寒い夜に温かい飲み物までいただきました。'],
        [4, 'en', 'Worth it for the meteor my son saw and I did not.'],
    ],
    'tw-harrow' => [
        [5, 'en', 'Sat down tired, got up taller.'],
        [4, 'en', 'The quiet show should be the normal show.'],
        [5, 'en', 'The presenter knew my daughter’s name from the booking and gave her an asteroid. Temporarily, she stressed.'],
        [5, 'zh', '孩子第一次知道银河是什么样子。'],
        [3, 'en', 'Lovely. Short. Both.'],
        [5, 'en', 'Better than the cinema, cheaper than the cinema, and nobody eats.'],
        [4, 'fr', 'Un bel après-midi, au chaud.'],
        [5, 'en', 'I take a different friend every month and pretend it is my first time.'],
        [2, 'en', 'Our row had the projector fan. We learned a lot about the fan.'],
        [5, 'en', 'Accessible seats in the middle and not in the corner. Noted, and appreciated.'],
    ],
];
