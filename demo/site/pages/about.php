<?php
/** @var string $standins */
/** @var Closure(string): string $paste */
$title = 'About';
$linked = ['@graph' => [
    [
        '@type' => 'Organization',
        'name' => 'Quillmoor Observatory',
        'url' => '/',
        'sameAs' => ["$standins/shutterfen/@quillmoor", "$standins/corkwall/quillmoor"],
    ],
    [
        '@type' => 'TouristAttraction',
        'name' => 'The Dome',
        'address' => ['@type' => 'PostalAddress', 'addressLocality' => 'Quillmoor'],
        'sameAs' => ["$standins/wayleaf/places/wl-dome", "$standins/ticketwick/venues/tv-dome"],
    ],
    [
        '@type' => 'TouristAttraction',
        'name' => 'Harrow Lane Planetarium',
        'sameAs' => ["$standins/wayleaf/places/wl-harrow", "$standins/ticketwick/venues/tv-harrow"],
    ],
]];
?>
<div class="wide"><h1>About</h1>
<p class="lead">Built by subscription in 1926, run by forty volunteers and one fox.</p>
<div class="beside"><div><p>The Trust keeps the Dome on Beacon Road, the Harrow Lane Planetarium in Tarnbridge, and the Skerry Field Station on the coast, where the sea takes the heat out of the air and the stars hold still.</p>
<h2>The mirror-making weekend</h2><p>Two days, two discs of glass, some grit and a great deal of walking in circles. You leave with a mirror of your own.</p></div>
<aside><?= $paste('dome8seal0') ?></aside></div>
<?= $paste('about1line') ?>
</div>
<section class="sky" id="nights"><div class="wide"><h2>Nights to keep</h2>
<?= $paste('about5sky0') ?>
</div></section>
<div class="wide"><h2>Seen from here</h2>
<?= $paste('hill6wall0') ?>
</div>
