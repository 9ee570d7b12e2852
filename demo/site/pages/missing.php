<?php $title = 'Not here'; ?>
<div class="wide"><h1>Nothing at this address</h1><p>Perhaps it is behind the hill. <a href="/">Back to the start</a>.</p></div>
