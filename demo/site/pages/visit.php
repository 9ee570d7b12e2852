<?php
/** @var string $gnomic */
/** @var Closure(string): string $include */
$title = 'Visit'; ?>
<div class="wide">
<h1>Plan your night</h1>
<p class="lead">Small groups at <a href="/venues/the-dome">the Dome</a>, one great refractor, and a hill far from any street lamp. Dress for two seasons colder than it is.</p>
<table><tr><th>Thursday to Saturday</th><td>from dusk, about two hours</td></tr><tr><th>Grown-ups</th><td>14, children 6, under-fives free</td></tr><tr><th>Parking</th><td>at the crossroads; ten minutes on foot, lamps lit</td></tr></table>
<h2>What visitors say</h2>
<script async src="<?= $gnomic ?>/gnomic.js"></script><gnomic-widget key="dome4visit"><?= $include('dome4visit') ?></gnomic-widget>
<h2>How to find us</h2>
<p>From Tarnbridge take the moor road and turn left at the sign that points the right way again. The last mile is single track; whoever comes down has the right of way.</p>
</div>
