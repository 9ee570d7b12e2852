<?php
/** @var object{all: callable} $faults */
$title = 'Workshop'; ?>
<div class="wide">
<h1>The website workshop</h1>
<p class="lead">What page builders, hosts and banners do to pages, to be tried on ours.</p>
<table>
<?php foreach (['/' => 'Home', '/visit' => 'Visit', '/planetarium' => 'Planetarium', '/shop' => 'Shop', '/about' => 'About',
    '/venues/the-dome' => 'The Dome'] as $to => $name) { ?>
<tr><th><a href="<?= $to ?>"><?= $name ?></a></th><td><form method="post">
<input type="hidden" name="page" value="<?= $to ?>">
<select name="fault" aria-label="<?= $name ?>">
<?php foreach ($faults::KINDS as $kind => $says) { ?>
<option value="<?= $kind ?>"<?= ($faults->all()[$to] ?? '') === $kind ? ' selected' : '' ?>><?= $says ?></option>
<?php } ?>
</select> <button>Do it</button></form></td></tr>
<?php } ?>
</table>
</div>
