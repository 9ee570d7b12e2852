<?php
/** @var string $gnomic */
$title = 'Harrow Lane Planetarium'; ?>
<div class="wide">
<h1>Harrow Lane Planetarium</h1>
<p class="lead">Seats that tip back, a ceiling that disappears, and a person in the dark who answers questions.</p>
<div class="cols"><img src="/pictures/sky-nebula-3.png" alt="A nebula" width="640" height="400"><img src="/pictures/sky-cluster-2.png" alt="A cluster of stars" width="640" height="400"><img src="/pictures/sky-planet-5.png" alt="A planet with rings" width="640" height="400"></div>
</div>
<div class="night"><div class="wide">
<h2>Heard in the foyer</h2>
<script async src="<?= $gnomic ?>/gnomic.js"></script><gnomic-widget key="harrow7talk"><noscript><iframe src="<?= $gnomic ?>/w/harrow7talk" title="Reviews of the planetarium"></iframe></noscript></gnomic-widget>
</div></div>
