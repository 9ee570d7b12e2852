<?php

declare(strict_types=1);

// What the directory makes of reviews in other languages, in English.

return [
    'So viele Sterne haben wir noch nie gesehen.' => 'We have never seen so many stars.',
    '土星の輪がはっきり見えて、娘は「シールみたい」と驚いていました。' => 'We saw the rings of Saturn clearly, and my daughter was amazed: "like a sticker".',
    'Les anneaux de Saturne, en vrai, à travers la grande lunette : inoubliable.' => 'The rings of Saturn, for real, through the big refractor: unforgettable.',
    'رأينا حلقات زحل بوضوح لا يصدق، وبقي ابني صامتا لأول مرة منذ ولد.' => 'We saw the rings of Saturn incredibly clearly, and my son was silent for the first time since he was born.',
    '山上的风很冷，但看到土星光环的那一刻，全家人都安静了。' => 'The wind on the hill was cold, but the moment we saw the rings of Saturn the whole family fell silent.',
    'Sehr schöne Sternwarte mit engagierten Leuten. Der Parkplatz ist klein und nachts schwer zu finden.' => 'Very nice observatory with dedicated people. The car park is small and hard to find at night.',
    'Mi hijo vio la Luna tan cerca que extendió la mano. Volveremos en agosto.' => 'My son saw the Moon so close that he reached out his hand. We will be back in August.',
    'Leider nur Wolken und ein langer Vortrag auf Englisch. Ein Faltblatt für Gäste aus dem Ausland wäre schön.' => 'Sadly only clouds and a long talk in English. A leaflet for guests from abroad would be nice.',
    'Die Kuppelschau hat uns begeistert. Live moderiert, mit viel Witz.' => 'The dome show delighted us. Presented live, with a lot of wit.',
    'Un voyage superbe sans quitter son fauteuil.' => 'A superb journey without leaving your seat.',
    '天井いっぱいの星空に、思わず声が出ました。' => 'A ceiling full of stars: I gasped out loud.',
];
