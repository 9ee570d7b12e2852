<?php
/** @var string $standins */
/** @var Closure(string): string $paste */
$title = 'Shop';
$linked = ['@graph' => [
    ['@type' => 'Product', 'name' => 'Pocket Star Wheel', 'sameAs' => ["$standins/barrowfair/items/star-wheel"]],
    ['@type' => 'Product', 'name' => 'Moon Atlas', 'aggregateRating' => [
        '@type' => 'AggregateRating',
        'ratingValue' => 4.8,
        'reviewCount' => 2,
    ], 'review' => [
        [
            '@type' => 'Review',
            'author' => ['@type' => 'Person', 'name' => 'Hamish Lorne'],
            'datePublished' => '2026-09-14',
            'reviewRating' => ['@type' => 'Rating', 'ratingValue' => 5],
            'reviewBody' => 'Bought at the desk after a cloudy night, and the best consolation I know.',
        ],
        [
            '@type' => 'Review',
            'author' => ['@type' => 'Person', 'name' => 'Noor Haddad'],
            'datePublished' => '2026-10-02',
            'reviewRating' => ['@type' => 'Rating', 'ratingValue' => 4.5],
            'reviewBody' => 'Every crater I looked for was where the atlas said it would be.',
        ],
    ]],
]];
?>
<div class="wide"><h1>Shop</h1><div class="cols">
<section><img src="/pictures/sky-moon-21.png" alt="The moon, half lit" width="640" height="400"><h2>Moon Atlas</h2><p>Second printing, lie-flat spine, every crater the right way round. 24.</p>
<p class="quiet">“Every crater I looked for was where the atlas said it would be.” Noor Haddad</p></section>
<section><img src="/pictures/sky-people-4.png" alt="People around a telescope by red light" width="640" height="400"><h2>Red Lantern</h2><p>Light enough to read by, dim enough to keep your night eyes. 18.</p></section>
<section><img src="/pictures/sky-chart-9.png" alt="An engraved chart of the sky" width="640" height="400"><h2>Pocket Star Wheel</h2><p>Turn to the hour, hold overhead, know where you are. 9.</p></section>
</div></div>
<div class="wide"><h2>What buyers found up here</h2><div class="beside">
<div><?= $paste('shop5rows0') ?></div>
<aside><?= $paste('shop2short') ?></aside>
</div></div>
