<?php
/** @var string $service */
/** @var array<string, string> $words */
/** @var list<array{id: string, name: string}> $accounts */
/** @var array<string, string> $query */
?>
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Grant access · <?= $service ?></title>
<style>body{font:17px/1.5 Georgia,serif;max-width:34rem;margin:3rem auto;padding:0 1rem;color:#222;background:#f6f4ef}form{background:#fff;border:1px solid #d8d4c8;padding:1.5rem}button{font:inherit;padding:.4rem 1rem}label{display:block;margin:.3rem 0}</style>
</head>
<body>
<main>
<h1><?= $service ?></h1>
<form method="post" action="authorize">
<p><strong>Gnomic</strong> asks to:</p>
<ul>
<?php foreach ($words as $word) { ?>
<li><?= htmlspecialchars($word) ?></li>
<?php } ?>
</ul>
<fieldset><legend>For which account?</legend>
<?php foreach ($accounts as $index => $account) { ?>
<label><input type="radio" name="account" value="<?= htmlspecialchars($account['id']) ?>"<?= $index === 0
    ? ' checked'
    : '' ?>> <?= htmlspecialchars($account['name']) ?></label>
<?php } ?>
</fieldset>
<?php foreach (['redirect_uri', 'state', 'scope', 'code_challenge'] as $name) { ?>
<input type="hidden" name="<?= $name ?>" value="<?= htmlspecialchars($query[$name] ?? '') ?>">
<?php } ?>
<p><button name="decision" value="allow">Allow</button> <button name="decision" value="refuse">Refuse</button></p>
</form>
</main>
</body>
</html>
