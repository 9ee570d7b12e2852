<?php $title = 'Members'; ?>
<div class="wide"><h1>For members</h1>
<form><p><label>Name <input name="name"></label></p><p><label>Password <input type="password" name="password"></label></p></form></div>
