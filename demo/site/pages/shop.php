<?php $title = 'Shop'; ?>
<div class="wide"><h1>Shop</h1><div class="cols">
<section><img src="/pictures/sky-1.svg" alt="The moon over the dome" width="640" height="400"><h2>Moon Atlas</h2><p>Second printing, lie-flat spine, every crater the right way round. 24.</p></section>
<section><img src="/pictures/sky-4.svg" alt="The mast by night" width="640" height="400"><h2>Red Lantern</h2><p>Light enough to read by, dim enough to keep your night eyes. 18.</p></section>
<section><img src="/pictures/sky-3.svg" alt="Star trails" width="640" height="400"><h2>Pocket Star Wheel</h2><p>Turn to the hour, hold overhead, know where you are. 9.</p></section>
</div></div>
