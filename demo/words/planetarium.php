<?php

declare(strict_types=1);

// What visitors of the planetarium say, each once: stars, language, words. Every sentence is made up.

return [
    [5, 'en', 'Rainy Sunday saved.'],
    [4, 'en', 'Great show, tiny foyer. The shop is small but well chosen.'],
    [5, 'en', 'The seats tip back and the ceiling disappears. My class of eleven-year-olds did not make a sound for forty minutes, which I have never heard before.'],
    [5, 'de', 'Die Kuppelschau hat uns begeistert. Live moderiert, mit viel Witz.'],
    [3, 'en', 'Fine for young children, thin for anyone else. The man in front of us brought a whole roast chicken.'],
    [5, 'en', 'No recorded voice: a real person, in the dark, who took questions and said "I don’t know" twice.'],
    [4, 'en', 'Comfortable, clever, a little short.'],
    [5, 'en', 'They repeated the show quietly on the Tuesday for my son, who finds noise hard. He has asked to go every Tuesday.'],
    [5, 'fr', 'Un voyage superbe sans quitter son fauteuil.'],
    [2, 'en', 'Too loud for us, and the volume could not be turned down. We left before Neptune.'],
    [5, 'en', 'We flew from Harrow Lane to the edge of everything and were home for tea.'],
    [4, 'en', 'The projector is not the newest, and it does not matter in the least.'],
    [5, 'ja', '天井いっぱいの星空に、思わず声が出ました。'],
    [5, 'en', 'Sit in the back rows. Bring somebody you like.'],
    [5, 'en', '🌌🌌🌌'],
    [4, 'en', 'Would like a later show for grown-ups. I would also like one without the song, but I seem to be alone in that.'],
    [5, 'zh', '躺下来，抬头，忘记自己在城里。'],
    [3, 'en', 'The show was good, the queue was not. We were let in ten minutes late and still in our coats for Mercury.'],
    [5, 'en', 'Lift to every row, a hearing loop that works, and nobody made a fuss. That is all I ask of any building.'],
    [5, 'el', 'Μαγικό για μικρούς και μεγάλους.'],
    [5, 'en', 'I fell asleep. Best sleep in months. My wife says the show was excellent.'],
    [4, 'de', 'Schönes kleines Planetarium mitten in der Stadt. Bequeme Sitze, netter Empfang.'],
    [5, 'en', 'The southern sky show is a small masterpiece. Go even if you think you have seen one of these.'],
    [5, 'es', 'Mis hijas salieron con mil preguntas, que era la idea.'],
    [2, 'en', 'A few seats are broken and ours were two of them. We watched Andromeda sideways.'],
    [5, 'en', 'Half-term, full house, two crying babies, and the presenter wove both of them into the Big Bang.'],
    [4, 'fr', 'Le présentateur répond aux questions en direct. Réservez, la salle est petite.'],
    [5, 'ar', 'عرض رائع للكبار والصغار، والمقدم أجاب عن كل أسئلة ابنتي.'],
    [5, 'en', 'He turned the city lights off, one street at a time, until we could see what used to be there. People gasped at their own town.'],
    [3, 'en', 'Perhaps we chose the wrong film. It was about rocks.'],
    [5, 'en', 'Five stars. Well, about six thousand.'],
    [4, 'en', 'A good hour in town. Book ahead in the holidays.'],
    [5, 'it', 'Ci siamo commossi, e non ce lo aspettavamo da un soffitto.'],
    [5, 'en', 'My nan, who thinks the moon landing was a nice day out for some men, cried at the moon landing.'],
    [1, 'en', 'Two for the three o’clock, doors shut at two fifty-nine by a clock that was fast. I have a photograph of the clock.'],
    [5, 'en', 'Easy by bus, easy with a pushchair, easy to recommend.'],
];
