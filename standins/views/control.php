<?php
/** @var string $places */
/** @var array<string, string> $moods */

use Standins\Control;

?>
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Stand-ins</title>
<style>
body{font:16px/1.5 Georgia,serif;max-width:60rem;margin:2rem auto;padding:0 1rem;color:#222;background:#f6f4ef}
form{background:#fff;border:1px solid #d8d4c8;padding:1rem 1.25rem;margin:0 0 1rem}
h2{font-size:1.1rem;margin:0 0 .5rem}label{display:block;margin:.4rem 0}input,select,textarea,button{font:inherit;padding:.3rem .5rem}
input[type=text],textarea,select{width:100%;max-width:36rem}.two{display:grid;grid-template-columns:1fr 1fr;gap:1rem}@media(max-width:700px){.two{display:block}}
</style>
</head>
<body>
<main>
<h1>Stand-ins</h1>
<p>Small simulated services for the demo. What you do here happens at the service; Gnomic learns of it in its next round.
E-mails that Gnomic sends in the demo are in its <a href="/mailbox">mailbox</a>.</p>
<p>Wayleaf's key for the demo: <code>wl-demo-key-7Q2M</code>. Rookcall's page: <a href="/rookcall/quillmoor">/rookcall/quillmoor</a>, with its
<a href="/rookcall/quillmoor/feed.rss">RSS</a>, <a href="/rookcall/quillmoor/feed.atom">Atom</a> and <a href="/rookcall/quillmoor/feed.json">JSON</a> feeds.</p>
<form method="post">
<h2>Wayleaf: a new review arrives, or the newest changes</h2>
<label>Place <select name="place"><?= $places ?></select></label>
<label>Name <input type="text" name="name" value="Wren Hollis"></label>
<label>Points <select name="points"><option>5</option><option>4</option><option>3</option><option>2</option><option>1</option></select></label>
<label>Words <textarea name="comment" rows="2">We watched the moon rise behind the mast and forgot the time.</textarea></label>
<button name="do" value="review">A new review arrives</button>
<button name="do" value="edit">The newest is edited to these words</button>
<button name="do" value="remove">The newest is removed</button>
</form>
<form method="post">
<h2>Rookcall: a new post</h2>
<label>Title <input type="text" name="name" value="Aurora watch"></label>
<label>Words <textarea name="comment" rows="2">Needle high since six. We keep the dome open until it drops.</textarea></label>
<button name="do" value="post">A new post appears</button>
</form>
<form method="post">
<h2>Ticketwick and Shutterfen: access</h2>
<p>On the consent page of either, choose an account and allow. Corkwall's token for the demo: <code>ck-5d1e-demo-board</code>. Barrow Fair's pages:
<a href="/barrowfair/items/star-wheel">a product</a>, <a href="/barrowfair/stalls/quillmoor">the stall</a>.</p>
<label>Service <select name="service"><option value="ticketwick">Ticketwick</option><option value="shutterfen">Shutterfen</option></select></label>
<button name="do" value="withdraw">Access is withdrawn</button>
<button name="do" value="expire">The tokens run out now</button>
<button name="do" value="forget">Corkwall forgets most pins of its first board</button>
<button name="do" value="unrate">Ticketwick's newest rating is removed</button>
</form>
<div class="two">
<?php foreach ($moods as $service => $mood) { ?>
<form method="post">
<h2><?= ucfirst($service) ?> <?= Control::MOODS[$mood] ?></h2>
<input type="hidden" name="service" value="<?= $service ?>">
<input type="hidden" name="do" value="mood">
<?php foreach (Control::MOODS as $key => $words) { ?>
<label><input type="radio" name="mood" value="<?= $key ?>"<?= $key === $mood ? ' checked' : '' ?>> <?= $words ?></label>
<?php } ?>
<button>From now on</button>
</form>
<?php } ?>
</div>
</main>
</body>
</html>
