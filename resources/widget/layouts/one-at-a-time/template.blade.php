@include('widget::flow', [
    'deck' => ' role="group" aria-roledescription="'.e($words->say('carousel.name')).'" aria-label="'.e($words->say('carousel.cards', ['count' => count($plan->cards)])).'"',
    'track' => ' tabindex="0" role="group" aria-label="'.e($words->say('carousel.keys')).'"',
])
