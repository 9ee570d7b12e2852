<?php
/** @var Closure(string): string $paste */
$title = 'Home'; ?>
<div class="hero" style="background-image:url(/pictures/sky-panorama-7.png)"><div class="wide"><h1>The sky, from a hill, with company</h1><p>A public observatory since 1926. Come up, look through, stay for cocoa.</p></div></div>
<div class="wide"><div class="cols">
<section><h2>Tonight</h2><p>The Dome opens at eight if the sky does. Saturn first, then the double cluster. <a href="/visit">Plan your night</a>.</p></section>
<section><h2>Rain?</h2><p>The <a href="/planetarium">Harrow Lane Planetarium</a> is in town, warm, and live at every show.</p></section>
<section><h2>Make a mirror</h2><p>Grind your own telescope mirror over a weekend. Eleven people did; none cracked. <a href="/about">About the workshop</a>.</p></section>
</div></div>
<section class="warm"><div class="wide"><?= $paste('home3band0') ?></div></section>
<div class="wide"><h2>Short posts from the hill</h2>
<?= $paste('home4notes') ?>
</div>
