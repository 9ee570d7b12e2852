<?php $title = 'About'; ?>
<div class="wide"><h1>About</h1>
<p class="lead">Built by subscription in 1926, run by forty volunteers and one fox.</p>
<p>The Trust keeps the Dome on Beacon Road, the Harrow Lane Planetarium in Tarnbridge, and the Skerry Field Station on the coast, where the sea takes the heat out of the air and the stars hold still.</p>
<h2>The mirror-making weekend</h2><p>Two days, two discs of glass, some grit and a great deal of walking in circles. You leave with a mirror of your own.</p></div>
