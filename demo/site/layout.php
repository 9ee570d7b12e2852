<?php
/** @var string $title */
/** @var string $body */
/** @var string $path */
?>
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title><?= $title ?> · Quillmoor Observatory</title>
<link rel="stylesheet" href="/site.css">
<link rel="icon" href="data:,">
</head>
<body>
<header class="top"><div class="wide">
<a class="brand" href="/">Quillmoor Observatory</a>
<nav aria-label="Pages">
<?php foreach (['/visit' => 'Visit', '/planetarium' => 'Planetarium', '/shop' => 'Shop', '/about' => 'About'] as $to => $text) { ?>
<a href="<?= $to ?>"<?= $to === $path ? ' aria-current="page"' : '' ?>><?= $text ?></a>
<?php } ?>
</nav>
</div></header>
<main>
<?= $body ?>
</main>
<footer><div class="wide"><p>Quillmoor Observatory Trust, Beacon Road, Upper Quillmoor. Open when the sky is, and on Thursdays regardless.</p></div></footer>
</body>
</html>
