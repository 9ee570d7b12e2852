<?php

declare(strict_types=1);

// The codes that the observatory pasted, as the bench gave them: a key, and the room that the widget takes at every width.

return [
    'home3band0' => 'calc(551px - 0.4045*clamp(0px,100% - 240px,356px) + 114.5*clamp(0px,100% - 596px,4px) + 2.6*clamp(0px,100% - 600px,20px) - 0.6757*clamp(0px,100% - 620px,296px) - 21.25*clamp(0px,100% - 916px,4px) - 0.1426*clamp(0px,100% - 920px,680px))',
    'hill6wall0' => 'calc(2768px + 11*clamp(0px,100% - 240px,28px) - 339*clamp(0px,100% - 268px,4px) + 6*clamp(0px,100% - 272px,208px) - 316*clamp(0px,100% - 612px,4px) + 2.6667*clamp(0px,100% - 616px,108px) - 176*clamp(0px,100% - 820px,4px) + 1.5*clamp(0px,100% - 824px,144px))',
    'about1line' => 'calc(435px - 0.6875*clamp(0px,100% - 240px,64px) - 1.0625*clamp(0px,100% - 352px,32px) - 2.8333*clamp(0px,100% - 464px,12px) - 12*clamp(0px,100% - 644px,4px) - 0.2083*clamp(0px,100% - 648px,48px) - 6*clamp(0px,100% - 696px,4px))',
    'about5sky0' => 'calc(621px - 4.3125*clamp(0px,100% - 240px,16px) + 9*clamp(0px,100% - 296px,4px) - 13*clamp(0px,100% - 300px,4px) - 0.55*clamp(0px,100% - 304px,60px) - 0.1758*clamp(0px,100% - 364px,364px) - 12.75*clamp(0px,100% - 728px,4px) - 0.3462*clamp(0px,100% - 732px,52px))',
    'dome8seal0' => '176px',
    'shop2short' => 'calc(911px - 5.25*clamp(0px,100% - 240px,4px) - 6.5*clamp(0px,100% - 256px,4px) - 5.25*clamp(0px,100% - 260px,4px) - 5.25*clamp(0px,100% - 272px,4px) - 6.5*clamp(0px,100% - 300px,4px) - 11*clamp(0px,100% - 492px,4px) - 17*clamp(0px,100% - 772px,4px))',
    'shop5rows0' => 'calc(1610px + 6.5714*clamp(0px,100% - 240px,56px) - 160*clamp(0px,100% - 296px,4px) + 2.1585*clamp(0px,100% - 300px,164px) - 168.75*clamp(0px,100% - 464px,4px) + 2.1484*clamp(0px,100% - 468px,128px) - 157.5*clamp(0px,100% - 596px,4px) + 1.0298*clamp(0px,100% - 600px,336px) - 86.5*clamp(0px,100% - 936px,4px) + 0.6964*clamp(0px,100% - 940px,56px) - 74*clamp(0px,100% - 996px,4px) + 0.3625*clamp(0px,100% - 1000px,560px) - 84.75*clamp(0px,100% - 1560px,4px) + 0.1667*clamp(0px,100% - 1564px,36px))',
    'home4notes' => 'calc(281px - 6.5*clamp(0px,100% - 276px,4px))',
];
