@include('widget::turn', ['controls' => $layout->controls, 'seconds' => $layout->autoplay, 'step' => $layout->byCard ? 'card' : 'page', 'chance' => false])
