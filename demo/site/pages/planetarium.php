<?php
/** @var string $gnomic */
$title = 'Harrow Lane Planetarium'; ?>
<div class="wide">
<h1>Harrow Lane Planetarium</h1>
<p class="lead">Seats that tip back, a ceiling that disappears, and a person in the dark who answers questions.</p>
<div class="cols"><img src="/pictures/sky-3.svg" alt="Star trails over the dome" width="640" height="400"><img src="/pictures/sky-2.svg" alt="Aurora over the hill" width="640" height="400"></div>
</div>
<div class="night"><div class="wide">
<h2>Heard in the foyer</h2>
<script async src="<?= $gnomic ?>/gnomic.js"></script><gnomic-widget key="harrow7talk"><noscript><iframe src="<?= $gnomic ?>/w/harrow7talk" title="Reviews of the planetarium"></iframe></noscript></gnomic-widget>
</div></div>
