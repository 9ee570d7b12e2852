<?php

declare(strict_types=1);

// The codes that the observatory pasted, as the bench gave them: a key, and the room that the widget takes at every width.

return [
    'home3band0' => 'calc(672px - 8*clamp(0px,100% - 248px,4px) - 5.75*clamp(0px,100% - 448px,4px) - 5.5*clamp(0px,100% - 516px,4px) - 26.75*clamp(0px,100% - 596px,4px) - 10.25*clamp(0px,100% - 656px,4px))',
    'hill6wall0' => 'calc(2356px + 11*clamp(0px,100% - 240px,204px) - 509*clamp(0px,100% - 444px,4px) + 6*clamp(0px,100% - 448px,204px) - 514*clamp(0px,100% - 652px,4px) + 2.6667*clamp(0px,100% - 656px,204px) - 240*clamp(0px,100% - 860px,4px) + 1.5*clamp(0px,100% - 864px,736px))',
    'about1line' => 'calc(399px - 11*clamp(0px,100% - 628px,4px))',
    'dome8seal0' => '224px',
    'shop2short' => 'calc(716px - 5.75*clamp(0px,100% - 248px,4px) - 5.5*clamp(0px,100% - 276px,4px) - 5.75*clamp(0px,100% - 348px,4px) - 5.5*clamp(0px,100% - 360px,4px) - 11*clamp(0px,100% - 460px,4px))',
    'shop5rows0' => 'calc(954px + 4.4125*clamp(0px,100% - 240px,80px) - 145.25*clamp(0px,100% - 320px,4px) + 2.375*clamp(0px,100% - 324px,48px) - 79.75*clamp(0px,100% - 372px,4px) + 1.4273*clamp(0px,100% - 376px,220px) - 86.75*clamp(0px,100% - 596px,4px) + 0.8088*clamp(0px,100% - 600px,204px) - 87.25*clamp(0px,100% - 804px,4px) + 0.3563*clamp(0px,100% - 808px,348px) - 75.5*clamp(0px,100% - 1156px,4px) + 0.0886*clamp(0px,100% - 1160px,440px))',
    'home4notes' => '246px',
];
