<?php
/** @var string $path */
/** @var array<string, array{string, string, string, string}> $venues */
[$title, $words, $where, $picture] = $venues[$path];
$linked = ['@type' => 'TouristAttraction', 'name' => $title,
    'address' => ['@type' => 'PostalAddress', 'streetAddress' => $where]];
?>
<div class="wide"><h1><?= $title ?></h1>
<div class="place"><img src="/pictures/<?= $picture ?>" alt="" width="640" height="400"><p class="lead"><?= $words ?></p><p><?= $where ?></p></div>
<h2>Our other places</h2>
<p><?php foreach ($venues as $to => [$name]) { ?><?= $to === $path ? '' : "<a href=\"$to\">$name</a> " ?><?php } ?></p>
</div>
