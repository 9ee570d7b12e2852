<?php

declare(strict_types=1);

// The codes that the observatory pasted, as the bench gave them: a key, and the room that the widget takes at every width.

return [
    'home3band0' => 'calc(548px - 0.3961*clamp(0px,100% - 240px,356px) + 104*clamp(0px,100% - 596px,4px) + 2.6*clamp(0px,100% - 600px,20px) - 0.5338*clamp(0px,100% - 620px,296px) - 26.5*clamp(0px,100% - 916px,4px) - 0.1118*clamp(0px,100% - 920px,680px))',
    'hill6wall0' => 'calc(2768px + 11*clamp(0px,100% - 240px,28px) - 339*clamp(0px,100% - 268px,4px) + 6*clamp(0px,100% - 272px,208px) - 316*clamp(0px,100% - 612px,4px) + 2.6667*clamp(0px,100% - 616px,108px) - 176*clamp(0px,100% - 820px,4px) + 1.5*clamp(0px,100% - 824px,144px))',
    'about1line' => 'calc(435px - 0.6875*clamp(0px,100% - 240px,64px) - 1.0625*clamp(0px,100% - 352px,32px) - 2.8333*clamp(0px,100% - 464px,12px) - 12*clamp(0px,100% - 588px,4px) - 0.0962*clamp(0px,100% - 592px,104px) - 6*clamp(0px,100% - 696px,4px))',
    'about5sky0' => 'calc(601px - 8.25*clamp(0px,100% - 240px,4px) - 9*clamp(0px,100% - 252px,4px) + 9*clamp(0px,100% - 296px,4px) - 8*clamp(0px,100% - 300px,4px) - 8.25*clamp(0px,100% - 360px,4px) - 8*clamp(0px,100% - 448px,4px) - 0.1455*clamp(0px,100% - 452px,220px) - 12.75*clamp(0px,100% - 672px,4px) - 0.0195*clamp(0px,100% - 676px,924px))',
    'dome8seal0' => '176px',
    'shop2short' => 'calc(940px - 5*clamp(0px,100% - 240px,8px) - 5.875*clamp(0px,100% - 256px,8px) - 2.5*clamp(0px,100% - 268px,4px) - 5.25*clamp(0px,100% - 272px,4px) - 6.5*clamp(0px,100% - 300px,4px) - 11*clamp(0px,100% - 484px,4px) - 17*clamp(0px,100% - 772px,4px))',
    'shop5rows0' => 'calc(902px + 3.6786*clamp(0px,100% - 240px,56px) - 87.5*clamp(0px,100% - 296px,4px) + 2.5*clamp(0px,100% - 300px,72px) - 85.25*clamp(0px,100% - 372px,4px) + 1.5795*clamp(0px,100% - 376px,88px) - 78.75*clamp(0px,100% - 464px,4px) + 0.8984*clamp(0px,100% - 468px,128px) - 75.25*clamp(0px,100% - 596px,4px) + 0.3813*clamp(0px,100% - 600px,396px) - 73.25*clamp(0px,100% - 996px,4px) + 0.095*clamp(0px,100% - 1000px,600px))',
    'home4notes' => 'calc(281px - 6.5*clamp(0px,100% - 276px,4px))',
];
