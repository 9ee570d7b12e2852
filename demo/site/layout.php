<?php
/** @var string $title */
/** @var string $body */
/** @var string $path */
/** @var string $standins */
/** @var string $gnomic */
/** @var array<string, mixed>|null $linked */
/** @var Closure(string): string $paste */
?>
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title><?= $title ?> · Quillmoor Observatory</title>
<link rel="stylesheet" href="/site.css">
<link rel="icon" href="data:,">
<?php if ($standins !== '') { ?>
<link rel="alternate" type="application/atom+xml" title="Short posts from the hill" href="<?= $standins ?>/rookcall/quillmoor/feed.atom">
<?php } ?>
<?= $linked === null
    ? ''
    : '<script type="application/ld+json">'.json_encode(
        ['@context' => 'https://schema.org'] + $linked,
        JSON_THROW_ON_ERROR | JSON_HEX_TAG | JSON_UNESCAPED_UNICODE,
    )."</script>\n" ?>
<script async src="<?= $gnomic ?>/s/quillmoor1926.js"></script>
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
<?php if (in_array($path, ['', '/about', '/shop'], true)) { ?>
<div class="edge"></div>
<?php } ?>
<footer><div class="wide"><p>Quillmoor Observatory Trust, Beacon Road, Upper Quillmoor. Open when the sky is, and on Thursdays regardless.</p></div></footer>
</body>
</html>
